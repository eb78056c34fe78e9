import { expect, test } from "vitest";
import { readMoney } from "./typedMoney.ts";

test("an amount is typed as it is, with groups, or as a number at a price each", () => {
  expect(readMoney("1200")).toEqual({ value: 1200 });
  expect(readMoney("1,200.50")).toEqual({ value: 1200.5 });
  expect(readMoney("12,5")).toEqual({ value: 12.5 });
  expect(readMoney("4 × 250")).toEqual({ value: 1000 });
  expect(readMoney("3*19.99")).toEqual({ value: 59.97 });
  for (const text of ["", "four", "-4", "1 × 2 × 3", "4 ×", "0.001", "9999999999"]) expect(readMoney(text), text).toBeNull();
});
