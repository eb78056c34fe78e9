// Brings in what a fresh clone lacks: the packages of the lockfile, and Debian's Chromium for browser tests.
import { spawn } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";

const NOTE = "node_modules/.installed-from";

/** Chromium without windows: pages are ready in little more than half the time that the full browser takes here. */
export const CHROMIUM = "/usr/bin/chromium-headless-shell";

const running = new Set();
process.once("exit", () => {
  for (const child of running) child.kill();
});

/** Runs a command with its output shown. @returns Whether it passed. */
export function passes(command, args, env = {}) {
  const child = spawn(command, args, { stdio: "inherit", env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", ...env } });
  running.add(child);
  return new Promise((resolve) => {
    child.once("error", ({ message }) => {
      console.error(`${command} could not be started: ${message}`);
      resolve(false);
    });
    child.once("exit", (status) => {
      running.delete(child);
      resolve(status === 0);
    });
  });
}

/** Runs a command with its output shown; ends this process, and what runs beside it, when it fails. */
export async function run(command, args, env = {}) {
  if (!(await passes(command, args, env))) process.exit(1);
}

/** Installs the packages of the lockfile, unless that has been done since it last changed. */
export async function installPackages() {
  const lock = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
  if (existsSync(NOTE) && readFileSync(NOTE, "utf8") === lock) return;
  // What a package would do on being installed is not needed, and what this one does comes with every build.
  await run("npm", ["ci", "--no-audit", "--no-fund", "--ignore-scripts"], { PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: "1" });
  writeFileSync(NOTE, lock);
}

/** Installs Chromium from Debian's packages where it is missing. */
export async function installChromium() {
  if (existsSync(CHROMIUM)) return;
  if (process.getuid?.() !== 0) {
    console.error(`The browser tests need ${CHROMIUM}. Install Debian's package chromium-headless-shell, or run this as root.`);
    process.exit(1);
  }
  await run("apt-get", ["update"]);
  await run("apt-get", ["install", "-y", "--no-install-recommends", "chromium-headless-shell"], { DEBIAN_FRONTEND: "noninteractive" });
}
