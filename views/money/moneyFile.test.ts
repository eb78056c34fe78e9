import { expect, test } from "vitest";
import { moneyOf } from "../../core/answers/money.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { figuresText, moneyFile, moneyFileOf } from "./moneyFile.ts";

const model = buildModel(fernhollow());
const query = (changed: Partial<MoneyQuery>): MoneyQuery => ({
  ...{ range: { start: 20_850, stop: 20_906 }, grain: "month", by: "project", kind: "all", measure: "cost", within: [], pipeline: "full" },
  ...changed,
});
const cents = (text: string) => Math.round(Number(text) * 100);

test("always: the rows of the file add up to its totals to the cent, across and down", () => {
  for (const by of ["project", "kind", "role", "person", "client"] as const)
    for (const measure of ["cost", "revenue"] as const) {
      const asked = query({ by, measure });
      const money = moneyOf(model, asked);
      const [head, ...rows] = moneyFile(money, asked);
      const at = rows.findIndex(([name, side]) => name === "All" && side === "");
      const lines = rows.slice(0, at);
      expect(lines.length, by).toBeGreaterThan(0);
      for (let column = 2; column < head.length; column++)
        expect(
          lines.reduce((sum, cells) => sum + cents(cells[column]), 0),
          `${by} ${measure} ${column}`,
        ).toBe(cents(rows[at][column]));
      for (const cells of rows.slice(0, at + 1))
        expect(
          cells.slice(2, -1).reduce((sum, text) => sum + cents(text), 0),
          cells[0],
        ).toBe(cents(cells.at(-1) ?? ""));
    }
});

test("of cost there is a running total that ends with earlier spending and the total; of revenue there is none", () => {
  const asked = query({});
  const money = moneyOf(model, asked);
  const running = moneyFile(money, asked).find(([name]) => name === "Running total");
  expect(running?.[1]).toBe("including earlier spending");
  expect(cents(running?.at(-2) ?? "")).toBe(money.before + money.total);
  expect(moneyFile(moneyOf(model, query({ measure: "revenue" })), query({ measure: "revenue" })).map(([name]) => name)).not.toContain(
    "Running total",
  );
});

test("the heading says which figures these are, of which filter and over which days", () => {
  const asked = query({ by: "kind", kind: "labour", within: [{ by: "project", key: "tidepool" }] });
  expect(figuresText({ currency: "EUR" }, asked)).toBe("Cost: labour in EUR by kind of cost");
  expect(moneyFileOf(moneyOf(model, asked))).toMatch(/^Tidepool Hall, /);
});
