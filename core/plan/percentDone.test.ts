import { expect, test } from "vitest";
import { percentDone } from "./percentDone.ts";

test("a done task counts as 100 percent, another one as stated, and without a statement as 0", () => {
  expect(percentDone({ state: "done" })).toBe(100);
  expect(percentDone({ state: "done", percentComplete: 40 })).toBe(100);
  expect(percentDone({ state: "underWay", percentComplete: 40 })).toBe(40);
  expect(percentDone({ percentComplete: 12.5 })).toBe(12.5);
  expect(percentDone({ state: "notStarted" })).toBe(0);
});
