import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { moneyOf } from "../answers/money.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { costReport } from "../reports/cost.ts";
import { costsOf } from "./costs.ts";
import { RateBook, stretchOn } from "./rateBook.ts";

const plan = fernhollow();
const model = buildModel(plan);
const horizon = horizonOf(plan);
const sum = (amounts: readonly number[]) => amounts.reduce((total, amount) => total + amount, 0);

test("the periods of a line add up to it, whatever the grain and wherever the range is cut", () => {
  const whole = costsOf(model, { range: horizon, grain: "year" });
  for (const grain of ["day", "week", "month", "quarter"] as const) {
    const fine = costsOf(model, { range: horizon, grain });
    expect(fine.lines.map(({ total }) => total)).toEqual(whole.lines.map(({ total }) => total));
  }
  const cut = parseDay("2027-02-17");
  const [before, after] = [
    { ...horizon, stop: cut },
    { ...horizon, start: cut },
  ].map((range) => costsOf(model, { range, grain: "year" }));
  expect(before.lines.map(({ total }, at) => total + after.lines[at].total)).toEqual(whole.lines.map(({ total }) => total));
});

test("lines add up to projects, and projects to clients, in every period", () => {
  const report = costReport(model, { range: horizon, grain: "month" });
  for (const { id, total, labour, material, fixed, expense, periods } of report.projects) {
    expect(total).toBe(labour + material + fixed + expense);
    expect(sum(periods.map((period) => period.total))).toBe(total);
    expect(periods.at(-1)?.running, id).toBe(total);
  }
  for (const client of report.clients) {
    const own = report.projects.filter(({ id }) => plan.projects.find((project) => project.id === id)?.clientId === client.id);
    expect(client.total).toBe(sum(own.map(({ total }) => total)));
  }
  expect(sum(report.lines.map(({ total }) => total))).toBe(sum(report.projects.map(({ total }) => total)));
});

test("the money table's rows and columns meet in one sum, in whole months around the window", () => {
  for (const kind of ["labour", "all"] as const) {
    const money = moneyOf(model, { range: { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") }, grain: "week", kind });
    expect([formatDay(money.periods[0].start), formatDay((money.periods.at(-1)?.stop ?? 0) - 1)]).toEqual(["2027-01-01", "2027-03-31"]);
    expect(money.total).toBe(sum(money.rows.map(({ total }) => total)));
    expect(money.totals).toEqual(money.periods.map((_, p) => sum(money.rows.map(({ periods }) => periods[p]))));
  }
});

test("giving work to a dearer person costs exactly their rate more", () => {
  const dearer: Plan = {
    ...plan,
    assignments: plan.assignments.map((row) => (row.id === "rockpools-jonas" ? { ...row, personId: "rui" } : row)),
    rateTables: plan.rateTables.map((table) =>
      table.id === "studio-cost" ? { ...table, entries: [...table.entries, { personId: "rui", rate: 40.02 }] } : table,
    ),
  };
  const lineOf = (own: Plan, id: string) =>
    costsOf(buildModel(own), { range: horizon, grain: "year" }).lines.find((line) => line.assignmentId === id)?.total;
  expect(lineOf(plan, "rockpools-jonas")).toBe(54 * 3_502);
  expect(lineOf(dearer, "rockpools-jonas")).toBe(54 * 4_002);
});

test("a person's rate goes before the role's, the role's before the default, and a rate holds until the next begins", () => {
  const table = {
    id: "t",
    name: "T",
    kind: "cost" as const,
    entries: [
      { rate: 10 },
      { roleId: "lead", rate: 20 },
      { personId: "ilka", from: "2027-03-01", rate: 30 },
      { personId: "ilka", from: "2027-04-01", rate: 31 },
      { personId: "ilka", from: "2027-04-01", rate: 32 },
    ],
  };
  const book = new RateBook({ ...plan, rateTables: [table] });
  const rateOn = (person: string | undefined, role: string | undefined, date: string) =>
    (stretchOn(book.labour(table, person, role), parseDay(date)).entry?.rate ?? 0) / 10_000;
  expect(rateOn("ilka", "lead", "2027-02-28")).toBe(20);
  expect(rateOn("ilka", "lead", "2027-03-01")).toBe(30);
  expect(rateOn("ilka", "lead", "2027-04-01")).toBe(32);
  expect(rateOn("bruno", "lead", "2027-04-01")).toBe(20);
  expect(rateOn(undefined, "writer", "2027-04-01")).toBe(10);
});

test("work without a rate costs nothing and is named once", () => {
  const bare: Plan = { ...plan, rateTables: plan.rateTables.map((table) => ({ ...table, entries: [] })) };
  const costs = costsOf(buildModel(bare), { range: horizon, grain: "year" });
  expect(sum(costs.lines.filter(({ kind }) => kind === "labour").map(({ total }) => total))).toBe(0);
  expect(costs.missingRates).toContain("rockpools-mara");
  expect(new Set(costs.missingRates).size).toBe(costs.missingRates.length);
});

test("a day without an exchange rate counts as 0 and is named once; days with one count", () => {
  const from = (date: string): Plan => ({
    ...plan,
    exchangeRates: [{ currency: "GBP", from: date, rate: 1.2 }],
    projects: plan.projects.map((project) => (project.id === "tidepool" ? { ...project, costTableId: "freelance-gbp" } : project)),
  });
  const labourFrom = (date: string) => {
    const costs = costsOf(buildModel(from(date)), { range: horizon, grain: "year" });
    const tidepool = plan.projects.findIndex(({ id }) => id === "tidepool");
    return { costs, labour: sum(costs.projects[tidepool]?.byKind.labour ?? []) };
  };
  const [early, middle, late] = ["2020-01-01", "2027-03-01", "2029-03-30"].map(labourFrom);
  expect(early.costs.missingExchangeRates).toEqual([]);
  expect(late.labour).toBe(0);
  expect(middle.labour).toBeGreaterThan(0);
  expect(middle.labour).toBeLessThan(early.labour);
  expect(new Set(late.costs.missingExchangeRates).size).toBe(late.costs.missingExchangeRates.length);
  expect(late.costs.missingExchangeRates.length).toBeGreaterThan(0);
  expect(late.costs.missingRates).toEqual(early.costs.missingRates);
});

test("cancelled projects cost nothing and are not listed", () => {
  const cancelled: Plan = {
    ...plan,
    projects: plan.projects.map((project) => (project.id === "tidepool" ? { ...project, stage: "cancelled" } : project)),
  };
  expect(
    moneyOf(buildModel(cancelled), { range: horizon, grain: "month", kind: "all" }).rows.some(({ projectId }) => projectId === "tidepool"),
  ).toBe(false);
});
