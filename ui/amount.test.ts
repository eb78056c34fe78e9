import { expect, test } from "vitest";
import { readAmount } from "./amount.ts";

test.each([
  ["12", 12],
  [" 12.5 ", 12.5],
  ["12,5", 12.5],
  ["0", 0],
  ["100", 100],
])("%s is read", (text, value) => {
  expect(readAmount(text, 0, 100)).toEqual({ value });
});

test.each(["", "  ", "-1", "100.1", "1e9", "twelve", "1,000,000", "1 2", "NaN", "Infinity"])("%s is not", (text) => {
  expect(readAmount(text, 0, 100)).toBeNull();
});
