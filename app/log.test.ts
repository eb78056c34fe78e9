import { execFile } from "node:child_process";
import { promisify } from "node:util";
import { expect, test } from "vitest";

const script = `
  import { logFailure } from "./app/log.ts";
  logFailure(Object.assign(new TypeError("no such column"), { params: ["a private note"], detail: "a private note" }));
  logFailure("stopped");
`;

test("a failure is a line of JSON with its place, and without the values of a statement", async () => {
  const { stderr } = await promisify(execFile)(process.execPath, ["--import", "tsx", "--input-type=module", "--eval", script]);
  const [first, second, ...more] = stderr
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  expect(more).toEqual([]);
  expect(first).toMatchObject({ level: "error", msg: "A request failed.", err: { type: "TypeError" } });
  expect(first.err.stack).toMatch(/TypeError: no such column\n\s+at /);
  expect(new Date(first.time).toISOString()).toBe(first.time);
  expect(stderr).not.toContain("private note");
  expect(second.err).toEqual({ type: "string", text: "stopped" });
});
