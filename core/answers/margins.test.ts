// Margins against the cost report, by client, by person, and the month in which a budget is passed.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { formatDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { costReport } from "../reports/cost.ts";
import { minorUnits } from "../values/units.ts";
import { marginPeople, marginsOf } from "./margins.ts";

const plan = fernhollow();
const model = buildModel(plan);
const horizon = horizonOf(plan);
const sum = (amounts: readonly number[]) => amounts.reduce((all, own) => all + own, 0);

test("a project's margin is the report's, a client's that of its projects together, and too thin is what the report calls so", () => {
  const report = costReport(model, { range: horizon, grain: "year" });
  const { projects, clients } = marginsOf(model, { pipeline: "full" });
  for (const { id, revenue, cost, share } of projects)
    expect([revenue, cost, share]).toEqual(report.projects.flatMap((own) => (own.id === id ? [own.revenue, own.total, own.margin] : [])));
  for (const { id, revenue, cost, side } of clients) {
    const own = projects.filter(({ projectRow }) => plan.projects[projectRow].clientId === id);
    expect([revenue, cost, side]).toEqual([sum(own.map((row) => row.revenue)), sum(own.map((row) => row.cost)), String(own.length)]);
  }
  const thin = report.signals.filter(({ kind }) => kind === "marginBelowTarget").map(({ subject }) => subject);
  expect(projects.filter(({ isBelow }) => isBelow).map(({ id }) => id)).toEqual(thin);
  expect(thin.length).toBeGreaterThan(0);
});

test("a budget is passed in the month whose cost carries the sum over it, and not where it lasts to the cent", () => {
  const months = costReport(model, { range: horizon, grain: "month" });
  const periods = months.projects.find(({ id }) => id === "tidepool")?.periods ?? [];
  const starts = months.periods.map(({ start }) => start);
  const passesWith = (budget: number) => {
    const own: Plan = { ...plan, projects: plan.projects.map((row) => (row.id === "tidepool" ? { ...row, budget } : row)) };
    const row = marginsOf(buildModel(own), { pipeline: "full" }).projects.find(({ id }) => id === "tidepool");
    expect(row?.budget).toBe(minorUnits(budget));
    return row?.passes ? formatDay(row.passes) : null;
  };
  const middle = periods[4].running;
  expect(passesWith((middle - 1) / 100)).toBe(starts[periods.findIndex(({ running }) => running >= middle)]);
  expect(passesWith(middle / 100)).toBe(starts[periods.findIndex(({ running }) => running > middle)] ?? null);
  expect(passesWith(1e9)).toBeNull();
});

test("the people of a project bring in and cost what its hours do, most hours first", () => {
  const people = marginPeople(model, "tidepool");
  const report = costReport(model, { range: horizon, grain: "year" });
  expect(sum(people.map(({ cost }) => cost))).toBe(report.projects.find(({ id }) => id === "tidepool")?.labour);
  const rows = plan.assignments.flatMap(({ taskId, materialId }, row) =>
    materialId === undefined && plan.tasks.find(({ id }) => id === taskId)?.projectId === "tidepool" ? [row] : [],
  );
  const named = rows.filter((row) => model.work.person[row] >= 0);
  expect(sum(people.flatMap(({ personId, minutes }) => (personId === null ? [] : [minutes])))).toBe(
    sum(named.map((row) => model.placements.placed[row])),
  );
  expect(people.map(({ minutes }) => minutes)).toEqual(people.map(({ minutes }) => minutes).sort((a, b) => b - a));
  for (const { revenue, cost, share } of people)
    if (share !== null) expect(share).toBe(Math.floor(((revenue - cost) * 10_000) / revenue + 0.5));
});
