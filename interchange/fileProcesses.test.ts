import { type ChildProcess, fork } from "node:child_process";
import { once } from "node:events";
import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { FileProcesses } from "./fileProcesses.ts";

const echo = `process.on("message", (said) => {
  if (said === "break") throw new Error("broken");
  process.send(said);
});`;

let folder = "";
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "roster-echo-"));
  await writeFile(join(folder, "echo.cjs"), echo);
});
afterAll(() => rm(folder, { recursive: true }));

function fixture(idleMs?: number) {
  const started: ChildProcess[] = [];
  const processes = new FileProcesses(() => {
    const child = fork(join(folder, "echo.cjs"), { stdio: "ignore" });
    started.push(child);
    return child;
  }, idleMs);
  return { processes, started };
}

async function says(child: ChildProcess, text: string): Promise<unknown> {
  child.send(text);
  const [answer] = await once(child, "message");
  return answer;
}

const endAll = (started: readonly ChildProcess[]) => {
  for (const child of started) child.kill("SIGKILL");
};

test("a process whose work ended well does the next, and two at once are two", async () => {
  const { processes, started } = fixture();
  const first = processes.take();
  expect(await says(first, "one")).toBe("one");
  processes.giveBack(first);
  const again = processes.take();
  expect(again).toBe(first);
  expect(await says(again, "two")).toBe("two");
  expect(processes.take()).not.toBe(first);
  expect(started).toHaveLength(2);
  endAll(started);
});

test("a process that waits too long ends, and is not taken again", async () => {
  const { processes, started } = fixture(50);
  const idle = processes.take();
  await says(idle, "one");
  const ended = once(idle, "exit");
  processes.giveBack(idle);
  expect(await ended).toEqual([null, "SIGKILL"]);
  expect(processes.take()).not.toBe(idle);
  endAll(started);
});

test("a process that breaks while it waits ends alone, and is not taken again", async () => {
  const { processes, started } = fixture();
  const waiting = processes.take();
  await says(waiting, "one");
  const ended = once(waiting, "exit");
  processes.giveBack(waiting);
  waiting.send("break");
  expect(await ended).toEqual([1, null]);
  expect(processes.take()).not.toBe(waiting);
  endAll(started);
});
