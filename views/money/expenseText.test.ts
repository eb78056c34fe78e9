import { expect, test } from "vitest";
import { readMoney, readWhen, writeWhen } from "./expenseText.ts";

test("an amount is typed as it is, with groups, or as a number at a price each", () => {
  expect(readMoney("1200")).toEqual({ value: 1200 });
  expect(readMoney("1,200.50")).toEqual({ value: 1200.5 });
  expect(readMoney("12,5")).toEqual({ value: 12.5 });
  expect(readMoney("4 × 250")).toEqual({ value: 1000 });
  expect(readMoney("3*19.99")).toEqual({ value: 59.97 });
  for (const text of ["", "four", "-4", "1 × 2 × 3", "4 ×", "0.001", "9999999999"]) expect(readMoney(text), text).toBeNull();
});

test("when it falls is a day, or from one to another", () => {
  expect(readWhen("16 Apr 2027")).toEqual({ value: { date: "2027-04-16" } });
  expect(readWhen("2027-02-01 – 2027-05-31")).toEqual({ value: { from: "2027-02-01", to: "2027-05-31" } });
  expect(readWhen(writeWhen({ from: "2027-02-01", to: "2027-05-31" }))).toEqual({ value: { from: "2027-02-01", to: "2027-05-31" } });
  for (const text of ["", "soon", "31 May 2027 – 1 Feb 2027"]) expect(readWhen(text), text).toBeNull();
});
