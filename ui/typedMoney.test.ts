import { expect, test } from "vitest";
import { readMoney, readTypedAmount, writeTypedAmount } from "./typedMoney.ts";

test("an amount is typed as it is, with groups, or as a number at a price each", () => {
  expect(readMoney("1200")).toEqual({ value: 1200 });
  expect(readMoney("1,200.50")).toEqual({ value: 1200.5 });
  expect(readMoney("12,5")).toEqual({ value: 12.5 });
  expect(readMoney("4 × 250")).toEqual({ value: 1000 });
  expect(readMoney("3*19.99")).toEqual({ value: 59.97 });
  for (const text of ["", "four", "-4", "1 × 2 × 3", "4 ×", "0.001", "9999999999"]) expect(readMoney(text), text).toBeNull();
});

test("a quantity at a price is kept as it was typed, and may be a credit", () => {
  expect(readTypedAmount("4 × 250")).toEqual({ value: { amount: 1000, quantity: 4, unitPrice: 250 } });
  expect(readTypedAmount("2 × -80.5")).toEqual({ value: { amount: -161, quantity: 2, unitPrice: -80.5 } });
  expect(readTypedAmount("−1,250.50")).toEqual({ value: { amount: -1250.5 } });
  expect(readTypedAmount("-2 × 80")).toBeNull();
  for (const text of ["4 × 250", "2 × -80.5", "-12.40"]) expect(writeTypedAmount(readTypedAmount(text)?.value ?? { amount: 0 })).toBe(text);
});
