import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { expectSame } from "../../tests/expectSame.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { withMoney } from "../../tests/withMoney.ts";
import { materialNeeds } from "../answers/materials.ts";
import { moneyOf } from "../answers/money.ts";
import { type MoneyLineDetails, moneyLinesOf, moneyWhy } from "../answers/moneyLines.ts";
import { outlineOf } from "../answers/outline.ts";
import { rateUses } from "../answers/rateUses.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { horizonOf, wholePeriods } from "../calendar/horizon.ts";
import { grains } from "../calendar/periods.ts";
import { applyChanges, invert } from "../edits/change.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { costReport } from "../reports/cost.ts";
import { updateModel } from "../update/update.ts";
import { costsOf } from "./costs.ts";
import { ledgerOf } from "./ledger.ts";
import { moneyBys } from "./moneyKeys.ts";
import { RateBook, stretchOn } from "./rateBook.ts";

const plan = fernhollow();
const model = buildModel(plan);
const horizon = horizonOf(plan);
const sum = (amounts: readonly number[]) => amounts.reduce((total, amount) => total + amount, 0);

test("the periods of a line add up to it, regardless of the grain and wherever the range is cut", () => {
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

const asked = {
  range: { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") },
  kind: "all",
  within: [],
  pipeline: "full",
} as const;

test("money adds up both ways to the cent, by any key and at every grain, and is the report's", () => {
  for (const grain of grains) {
    const { range } = wholePeriods(model.plan, { ...asked, grain });
    const report = costReport(model, { range, grain });
    for (const measure of ["cost", "revenue", "margin"] as const) {
      const of = ({ total, revenue }: { total: number; revenue: number }) =>
        measure === "cost" ? total : measure === "revenue" ? revenue : revenue - total;
      const periods = report.periods.map((_, p) => sum(report.projects.map((project) => of(project.periods[p]))));
      for (const by of moneyBys) {
        const money = moneyOf(model, { ...asked, grain, by, measure });
        expect(money.totals, `${grain} ${by} ${measure}`).toEqual(periods);
        expect(money.totals).toEqual(money.periods.map((_, p) => sum(money.rows.map((row) => row.periods[p]))));
        for (const row of money.rows) expect(row.total).toBe(sum(row.periods));
        expect(money.total).toBe(sum(money.rows.map(({ total }) => total)));
      }
    }
  }
});

test("every figure is the sum of its lines, and every line the sum of its reasons", () => {
  for (const { grain, by, measure } of [
    { grain: "month", by: "client", measure: "cost" },
    { grain: "week", by: "role", measure: "margin" },
    { grain: "day", by: "phase", measure: "revenue" },
  ] as const) {
    const query = { ...asked, grain, by, measure };
    const money = moneyOf(model, query);
    for (const { key, periods, total } of money.rows) {
      expect(moneyLinesOf(model, { ...query, key, period: null }).total, key).toBe(total);
      const period = periods.findIndex((amount) => amount !== 0);
      const { lines, range, total: own } = moneyLinesOf(model, { ...query, key, period: Math.max(0, period) });
      expect(own, key).toBe(periods[Math.max(0, period)]);
      for (const { subject, whole } of lines) {
        const why = moneyWhy(model, { subject, range, total: whole });
        expect(sum(why?.parts.map((part) => part.amount) ?? []), JSON.stringify(subject)).toBe(whole);
        const rest = why?.parts.find(({ what }) => what === "rounding")?.amount ?? 0;
        // Only revenue is rounded with other lines.
        expect(Math.abs(rest), JSON.stringify(subject)).toBeLessThanOrEqual(subject.kind === "revenue" ? 2 : 0);
      }
    }
  }
});

test("a line is explained with hours, rates and whose they are: the rate changes on 1 April", () => {
  const range = { start: parseDay("2027-03-29"), stop: parseDay("2027-04-05") };
  const query = { ...asked, range, grain: "week", by: "role", measure: "cost", key: "fabricator", period: null } as const;
  const hoursOf = ({ subject, amount }: MoneyLineDetails) =>
    (moneyWhy(model, { subject, range, total: amount })?.parts ?? []).filter(({ what, of }) => what === "hours" && of === "role");
  const both =
    moneyLinesOf(model, query)
      .lines.map(hoursOf)
      .find((parts) => parts.length === 2) ?? [];
  expect(both.map(({ rate, since }) => [rate, since && formatDay(since)])).toEqual([
    [350_200, "2027-01-01"],
    [357_200, "2027-04-01"],
  ]);
  for (const { minutes = 0, overtime = 0, rate = 0, overtimeRate = 0, amount } of both)
    expect(Math.abs(amount - (minutes * rate + overtime * overtimeRate) / 6000)).toBeLessThanOrEqual(1);
});

test("pipeline work counts not at all, by its probability, or in full, and rows add up to the cent in each way", () => {
  const isOpen = ({ key }: { key: string }) => ["idea", "pipeline"].includes(plan.projects.find(({ id }) => id === key)?.stage ?? "");
  for (const measure of ["cost", "revenue", "margin"] as const) {
    const query = { ...asked, range: horizon, grain: "month", by: "project", measure } as const;
    const [full, weighted, none] = (["full", "weighted", "none"] as const).map((pipeline) => moneyOf(model, { ...query, pipeline }));
    expect(none.rows).toEqual(full.rows.filter((row) => !isOpen(row)));
    expect(full.rows.filter(isOpen).length).toBeGreaterThan(1);
    for (const row of full.rows) {
      const own = weighted.rows.find(({ key }) => key === row.key);
      const share = isOpen(row) ? (plan.projects.find(({ id }) => id === row.key)?.probability ?? 100) / 100 : 1;
      // Each of its lines is rounded once.
      expect(Math.abs((own?.total ?? 0) - row.total * share)).toBeLessThan(isOpen(row) ? 60 : 1e-9);
    }
    expect(weighted.totals).toEqual(weighted.periods.map((_, p) => sum(weighted.rows.map((row) => row.periods[p]))));
    const asLines = moneyLinesOf(model, { ...query, pipeline: "weighted", key: null, period: null });
    expect(asLines.total).toBe(weighted.total);
    expect(asLines.lines.some(({ probability, whole, amount }) => probability !== null && Math.abs(amount) < Math.abs(whole))).toBe(true);
  }
});

test("a budget is compared with the cost of the projects that have one", () => {
  const range = { start: parseDay("2027-03-01"), stop: horizon.stop };
  for (const pipeline of ["full", "weighted", "none"] as const) {
    const query = { ...asked, range, grain: "month", by: "project", measure: "cost", pipeline } as const;
    const { budget, before, totals, periods } = moneyOf(model, query);
    if (!budget) throw new Error("the demo plan has budgets");
    const left = moneyOf(model, { ...query, measure: "left" });
    expect(budget.projects).toBeLessThan(budget.of);
    expect(periods.map((_, p) => budget.budget - budget.running[p]).map(Math.round)).toEqual(left.totals);
    expect(budget.before).toBeLessThan(before);
    expect(budget.running.at(-1)).toBeLessThan(before + sum(totals));
  }
});

test("what is left of a budget is the budget less all that was spent up to the period's end", () => {
  const query = { ...asked, grain: "month", by: "project", measure: "left" } as const;
  const { rows, periods } = moneyOf(model, query);
  const tidepool = rows.find(({ key }) => key === "tidepool");
  const stop = periods[1].stop;
  const spent = costReport(model, { range: { start: horizon.start, stop }, grain: "year" }).projects.find(({ id }) => id === "tidepool");
  expect(tidepool?.periods[1]).toBe(15_500_000 - (spent?.total ?? 0));
  expect(tidepool?.total).toBe(tidepool?.periods.at(-1));
  expect(rows.every(({ key }) => plan.projects.find(({ id }) => id === key)?.budget !== undefined)).toBe(true);
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
    moneyOf(buildModel(cancelled), { ...asked, range: horizon, grain: "month", by: "project", measure: "cost" }).rows.some(
      ({ key }) => key === "tidepool",
    ),
  ).toBe(false);
});

test("an outline's costs add up to the project's except for expenses of the project as a whole, and summaries to what is below", () => {
  const outline = outlineOf(model, "tidepool");
  const tops = outline?.tasks.filter(({ depth }) => depth === 0) ?? [];
  const [report] = costReport(model, { range: horizon, grain: "year" }).projects.filter(({ id }) => id === "tidepool");
  for (const kind of ["labour", "material", "fixed"] as const) expect(sum(tops.map(({ cost }) => cost[kind])), kind).toBe(report[kind]);
  const leaves = outline?.tasks.filter(({ isSummary }) => !isSummary) ?? [];
  expect(sum(leaves.map(({ cost }) => cost.labour))).toBe(report.labour);
});

test("what is needed of a material is its quantity with its waste, on the days the tasks take, by project and in total", () => {
  const { rows, periods } = materialNeeds(model, { pipeline: "full", range: horizon, grain: "month" });
  const tank = rows.filter(({ materialId }) => materialId === "acrylic");
  expect(tank.map(({ projectId, total }) => [projectId, total])).toEqual([
    [null, 154_000],
    ["tidepool", 154_000],
  ]);
  for (const { periods: own, total } of rows) expect(Math.abs(sum(own) - total)).toBeLessThanOrEqual(own.length);
  const first = tank[0].firstDay ?? 0;
  expect(tank[0].periods[periods.findIndex(({ start, stop }) => first >= start && first < stop)]).toBeGreaterThan(0);
  expect(first).toBe(model.schedule.of(plan.tasks.findIndex(({ id }) => id === "tidepool-cases"))?.start.day);
});

test("what the rates of a table price are all hours that have one, each once", () => {
  const uses = rateUses(model, { tableId: "studio-cost" });
  const rows = [...Array(model.work.rows).keys()].filter((row) => {
    const { costTableId, stage } = plan.projects[model.work.project[row]];
    return costTableId === "studio-cost" && stage !== "cancelled" && model.work.isMaterial[row] === 0;
  });
  expect(sum(uses.map(({ minutes }) => minutes))).toBe(sum(rows.map((row) => model.placements.placed[row])));
  expect(uses.find(({ subject }) => subject === "person mara")?.projects).toContain("Tidepool Hall");
  const designer = uses.find(({ subject }) => subject === "role designer");
  expect((designer?.amount ?? 0) / (designer?.minutes ?? 1)).toBeGreaterThan(41 / 0.6);
  expect((designer?.amount ?? 0) / (designer?.minutes ?? 1)).toBeLessThan(43.07 / 0.6);
});

test("money of any plan adds up both ways, by any key, and every line is the sum of its reasons", () => {
  for (let seed = 1; seed <= 25; seed++) {
    const made = buildModel(withMoney(tangledPlan(seed), seed));
    const range = horizonOf(made.plan);
    const report = costReport(made, { range, grain: "month" });
    const whole = { range, kind: "all", within: [], pipeline: "full", grain: "month" } as const;
    for (const by of moneyBys) {
      const { rows, totals, total } = moneyOf(made, { ...whole, by, measure: "cost" });
      expect(total, `${seed} ${by}`).toBe(sum(report.projects.map((project) => project.total)));
      expect(totals).toEqual(totals.map((_, p) => sum(rows.map((row) => row.periods[p]))));
      expect(moneyOf(made, { ...whole, by, measure: "revenue" }).total).toBe(sum(report.projects.map(({ revenue }) => revenue)));
    }
    for (const kind of ["labour", "material", "fixed", "expense", "revenue"] as const)
      expect(sum(report.projects.map((project) => project[kind])), `${seed} ${kind}`).toBeGreaterThan(0);
    const { lines, range: days } = moneyLinesOf(made, { ...whole, by: "project", measure: "cost", key: null, period: null });
    for (const { subject, amount } of lines.slice(0, 40))
      expect(
        sum(moneyWhy(made, { subject, range: days, total: amount })?.parts.map((part) => part.amount) ?? []),
        JSON.stringify(subject),
      ).toBe(amount);
  }
});

test("an exchange rate set from a day on changes the value of tables in that currency from then on, and is undone as a whole", () => {
  const gbp = plan.rateTables.find(({ currency }) => currency === "GBP")?.id;
  const foreign = { ...plan, projects: plan.projects.map((own) => (own.id === "tidepool" ? { ...own, costTableId: gbp } : own)) };
  const total = (own: Plan) =>
    costReport(buildModel(own), { range: horizon, grain: "year" }).projects.find(({ id }) => id === "tidepool")?.labour ?? 0;
  const doubled = applyEdit(foreign, {
    kind: "changeExchange",
    rates: foreign.exchangeRates.map((own) => ({ ...own, rate: own.rate * 2 })),
  });
  if (!doubled.plan) throw new Error("the edit fits the plan");
  expect(Math.abs(total(doubled.plan) - 2 * total(foreign))).toBeLessThan(200);
  expect(applyChanges(doubled.plan, invert(doubled.changes))).toEqual(foreign);
  const twice = [...plan.exchangeRates, { currency: "GBP", from: "2027-01-01", rate: 1 }];
  expect(applyEdit(plan, { kind: "changeExchange", rates: twice }).faults[0]?.message).toBe("GBP has two exchange rates from 2027-01-01.");
  const own = [{ currency: "EUR", from: "2027-01-01", rate: 1 }];
  expect(applyEdit(plan, { kind: "changeExchange", rates: own }).faults[0]?.message).toContain("needs no exchange rate");
});

test("the lines of a plan that was edited are those of the same plan read again, no matter what was edited", () => {
  for (let seed = 1; seed <= 8; seed++) {
    const next = everyEditFrom(seed);
    let own = buildModel(withMoney(tangledPlan(seed), seed));
    const windows = [{ range: horizonOf(own.plan), grain: "month" as const }, wholePeriods(own.plan, { ...asked, grain: "week" })];
    let [kept, edits] = [0, 0];
    while (edits < 40) {
      const outcome = applyEdit(own.plan, next(own.plan));
      if (!outcome.plan) continue;
      edits++;
      const before = new Set(ledgerOf(own, windows[edits % 7 === 0 ? 1 : 0]).lines);
      own = updateModel(own, outcome.plan, outcome.changes);
      const window = windows[edits % 7 === 0 ? 1 : 0];
      const { lines } = ledgerOf(own, window);
      kept += lines.filter((line) => before.has(line)).length;
      expectSame(lines, ledgerOf(buildModel(outcome.plan), window).lines, `${seed} after ${edits}`);
    }
    expect(kept, "what an edit left alone is not costed again").toBeGreaterThan(0);
  }
});
