import { expect, test } from "vitest";
import { readWhen, writeWhen } from "./expenseWhen.ts";

test("when it falls is a day, or from one to another", () => {
  expect(readWhen("16 Apr 2027")).toEqual({ value: { date: "2027-04-16" } });
  expect(readWhen("2027-02-01 – 2027-05-31")).toEqual({ value: { from: "2027-02-01", to: "2027-05-31" } });
  expect(readWhen(writeWhen({ from: "2027-02-01", to: "2027-05-31" }))).toEqual({ value: { from: "2027-02-01", to: "2027-05-31" } });
  for (const text of ["", "soon", "31 May 2027 – 1 Feb 2027"]) expect(readWhen(text), text).toBeNull();
});
