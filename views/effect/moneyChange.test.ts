import { expect, test } from "vitest";
import { moneyPhrases } from "./moneyChange.ts";

test("cost is reported with its sign, the margin only where revenue changes too, and what rounds to nothing not at all", () => {
  const texts = (cost: number, revenue: number) => moneyPhrases({ cost, revenue }, "EUR").map(({ text }) => text);
  expect(texts(-41_880, 0)).toEqual(["cost −EUR 419"]);
  expect(texts(12_345_600, 0)).toEqual(["cost +EUR 123,456"]);
  expect(texts(10_000, 30_000)).toEqual(["cost +EUR 100", "margin +EUR 200"]);
  expect(texts(30_000, 10_000)).toEqual(["cost +EUR 300", "margin −EUR 200"]);
  expect(texts(49, 0)).toEqual([]);
  expect(texts(-20, 20)).toEqual([]);
  expect(moneyPhrases({ cost: 0, revenue: -9_000 }, "EUR")).toEqual([{ text: "margin −EUR 90", isBad: true }]);
});
