import { once } from "node:events";
import { Worker } from "node:worker_threads";
import { expect, test } from "vitest";
import { FileThreads } from "./fileThreads.ts";

const echo = `const { parentPort } = require("node:worker_threads");
parentPort.on("message", (said) => {
  parentPort.postMessage(said);
  if (said === "break soon") setTimeout(() => { throw new Error("broken"); });
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

test("one that waits too long ends, and so does one that breaks while it waits; neither is taken again", async () => {
  const { threads, started } = scene(50);
  const idle = threads.take();
  await says(idle, "one");
  threads.giveBack(idle);
  expect(await once(idle, "exit")).toEqual([1]);
  const next = threads.take();
  expect(next).not.toBe(idle);
  await says(next, "break soon");
  threads.giveBack(next);
  await new Promise((resolve) => next.once("exit", resolve));
  expect(threads.take()).not.toBe(next);
  await Promise.all(started.map((worker) => worker.terminate()));
});
