import { expect, test } from "vitest";
import { rowById } from "../plan/rows.ts";
import { lookUp } from "./lookUp.ts";

test("what is there is found, and what is not is named", () => {
  const rows = rowById([{ id: "a" }, { id: "b" }]);
  expect(lookUp(rows, "b")).toBe(1);
  expect(() => lookUp(rows, "c")).toThrow('There is nothing under "c".');
  expect(lookUp(new Map([[3, 0]]), 3)).toBe(0);
});
