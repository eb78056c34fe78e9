// Runs commands; what still runs when this process ends, ends with it.
import { spawn } from "node:child_process";
import { join } from "node:path";

const running = new Set();
process.once("exit", () => {
  for (const child of running) child.kill();
});

/** Starts a command. @returns It, and whether it has passed once it is over. */
function start(command, args, env, stdio) {
  const child = spawn(command, args, { stdio, env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", ...env } });
  running.add(child);
  const isPassed = new Promise((resolve) => {
    child.once("error", ({ message }) => {
      console.error(`${command} could not be started: ${message}`);
      resolve(false);
    });
    child.once("close", (status) => {
      running.delete(child);
      resolve(status === 0);
    });
  });
  return { child, isPassed };
}

/** Runs a command with its output shown. @returns Whether it passed. */
export const passes = (command, args, env = {}) => start(command, args, env, "inherit").isPassed;

/** Runs a command with its output shown; ends this process, and what runs next to it, when it fails. */
export async function run(command, args, env = {}) {
  if (!(await passes(command, args, env))) process.exit(1);
}

/** The command of an installed package where it lies: npm takes a second to find it. */
export const toolPath = (name) => join("node_modules/.bin", name);

/** Runs the command of an installed package, as `run` does. */
export const runTool = (name, ...args) => run(toolPath(name), args);

/** Runs a command with what the others leave of the processor. @returns Whether it passed, and what it has said. */
export async function runBehind(command, args, env = {}) {
  const { child, isPassed } = start("nice", ["-n", "10", command, ...args], env, ["ignore", "pipe", "pipe"]);
  let said = "";
  for (const stream of [child.stdout, child.stderr])
    stream.setEncoding("utf8").on("data", (part) => {
      said += part;
    });
  return { isPassed: await isPassed, said };
}
