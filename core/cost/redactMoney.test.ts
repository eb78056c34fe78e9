// The types and the redaction of money: what is hidden is no number, and what is not marked does not compile.
import { expect, test } from "vitest";
import {
  type Figure,
  figureFrom,
  HIDDEN,
  isHidden,
  isNegative,
  lessFigure,
  type MarksOf,
  type Money,
  type MoneyFlag,
  majorOf,
  type Seen,
  shownOr,
  sumOfFigures,
} from "../plan/moneySides.ts";
import { redactMoney } from "./redactMoney.ts";

interface Row {
  name: string;
  minutes: number;
  cost: Money<"cost">;
  margin: Money<"margin"> | null;
  isBelow: MoneyFlag<"margin">;
  rates: { rate: Money<"cost" | "bill"> }[];
}

const row: Row = { name: "Cases", minutes: 480, cost: 90_000, margin: 2_000, isBelow: true, rates: [{ rate: 5 }, { rate: 7 }] };
const marks: MarksOf<{ rows: Row[] }> = {
  rows: { cost: "cost", margin: "margin", isBelow: "margin", rates: { rate: ["cost", "bill"] } },
};

const seenWith = (access: { cost: boolean; bill: boolean; margin: boolean }) =>
  redactMoney({ rows: [row] }, marks, access) as Seen<{ rows: Row[] }>;

test("figures of a hidden side are hidden, flags are down, and the rest stays", () => {
  const { rows } = seenWith({ cost: true, bill: false, margin: false });
  expect(rows).toEqual([{ ...row, margin: HIDDEN, isBelow: false, rates: [{ rate: HIDDEN }, { rate: HIDDEN }] }]);
  expect(row.margin).toBe(2_000);
});

test("an answer of which everything may be seen is the same object", () => {
  const answer = { rows: [row] };
  expect(redactMoney(answer, marks, { cost: true, bill: true, margin: true })).toBe(answer);
  expect(redactMoney(answer, undefined, { cost: false, bill: false, margin: false })).toBe(answer);
  expect(redactMoney({ rows: [{ ...row, margin: null }] }, marks, { cost: true, bill: true, margin: false })).toMatchObject({
    rows: [{ margin: null }],
  });
});

test("an unmarked figure, a wrong side and a sum with what may be hidden do not compile", () => {
  // @ts-expect-error: the margin has no mark
  const unmarked: MarksOf<Pick<Row, "cost" | "margin">> = { cost: "cost" };
  // @ts-expect-error: a cost is not of the bills
  const wrong: MarksOf<Pick<Row, "cost">> = { cost: "bill" };
  // @ts-expect-error: hours are no money
  const noMoney: MarksOf<Pick<Row, "minutes" | "cost">> = { cost: "cost", minutes: "cost" };
  const seen = seenWith({ cost: false, bill: false, margin: false }).rows[0].cost;
  // @ts-expect-error: a hidden figure cannot be added to
  const sum = seen + 1;
  expect([unmarked, wrong, noMoney, sum]).toHaveLength(4);
});

test("what is calculated from a hidden figure is hidden", () => {
  const figures: Figure[] = [500, HIDDEN, -200];
  expect(isHidden(sumOfFigures(figures))).toBe(true);
  expect(sumOfFigures([500, -200])).toBe(300);
  expect(isHidden(lessFigure(500, HIDDEN)) && isHidden(lessFigure(HIDDEN, 500))).toBe(true);
  expect(lessFigure(500, 200)).toBe(300);
  expect(figureFrom(500, (own) => own / 5)).toBe(100);
  expect(isHidden(figureFrom(HIDDEN, (own) => own / 5))).toBe(true);
  expect(figures.map(majorOf)).toEqual([5, null, -2]);
  expect(figures.map((own) => shownOr(own, null))).toEqual([500, null, -200]);
  expect(figures.map(isNegative)).toEqual([false, false, true]);
});
