import { once } from "node:events";
import { Worker } from "node:worker_threads";
import { expect, test } from "vitest";
import { FileThreads } from "./fileThreads.ts";

const echo = `const { parentPort } = require("node:worker_threads");
parentPort.on("message", (said) => {
  if (said === "break") throw new Error("broken");
  parentPort.postMessage(said);
});`;

function scene(idleMs?: number) {
  const started: Worker[] = [];
  const threads = new FileThreads(() => {
    const worker = new Worker(echo, { eval: true });
    started.push(worker);
    return worker;
  }, idleMs);
  return { threads, started };
}

async function says(worker: Worker, text: string): Promise<unknown> {
  worker.postMessage(text);
  const [answer] = await once(worker, "message");
  return answer;
}

test("a thread whose work ended well does the next, and two at once are two", async () => {
  const { threads, started } = scene();
  const first = threads.take();
  expect(await says(first, "one")).toBe("one");
  threads.giveBack(first);
  const again = threads.take();
  expect(again).toBe(first);
  expect(await says(again, "two")).toBe("two");
  const beside = threads.take();
  expect(beside).not.toBe(first);
  expect(started).toHaveLength(2);
  await Promise.all(started.map((worker) => worker.terminate()));
});

test("one that waits too long ends, and is not taken again", async () => {
  const { threads, started } = scene(50);
  const idle = threads.take();
  await says(idle, "one");
  threads.giveBack(idle);
  expect(await once(idle, "exit")).toEqual([1]);
  expect(threads.take()).not.toBe(idle);
  await Promise.all(started.map((worker) => worker.terminate()));
});

test("one that breaks while it waits takes nobody with it, and is not taken again", async () => {
  const { threads, started } = scene();
  const waiting = threads.take();
  await says(waiting, "one");
  threads.giveBack(waiting);
  const errors: Error[] = [];
  waiting.on("error", (error: Error) => errors.push(error));
  // Not `once` of node:events: that would fail with the error that comes before.
  const ended = new Promise((resolve) => waiting.once("exit", resolve));
  waiting.postMessage("break");
  await ended;
  expect(errors.map(({ message }) => message)).toEqual(["broken"]);
  expect(threads.take()).not.toBe(waiting);
  await Promise.all(started.map((worker) => worker.terminate()));
});
