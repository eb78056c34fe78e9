import { expect, test } from "vitest";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { formatDay } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { progressReport } from "../reports/progress.ts";
import { earnedCurve, earnedOf, earnedTasks } from "./earned.ts";

const made = (plan: Plan, edit: Edit): Plan => {
  const { plan: next, faults } = applyEdit(plan, edit) as { plan: Plan | null; faults?: unknown };
  if (!next) throw new Error(`the edit is refused: ${JSON.stringify(faults)}`);
  return next;
};

const base = trackedPlan(1);
const [person] = base.people;

/** Ten hours a day of one person at 50 an hour, on five days from Monday 1 March; the status date is Thursday. */
const small: Plan = {
  ...base,
  settings: { ...base.settings, today: "2027-03-04" },
  calendars: [{ ...base.calendars[0], week: [10, 10, 10, 10, 10, 0, 0], exceptions: [] }],
  people: [{ id: "mara", name: "Mara", roleIds: person.roleIds, calendarId: base.calendars[0].id }],
  teams: [],
  rateTables: [
    {
      id: "cost",
      name: "Cost",
      kind: "cost",
      currency: base.settings.currency,
      entries: [{ personId: "mara", from: "2026-01-01", rate: 50 }],
    },
  ],
  projects: [
    {
      id: "p",
      name: "Stand",
      calendarId: base.calendars[0].id,
      stage: "active",
      start: "2027-03-01",
      costTableId: "cost",
    },
  ],
  tasks: [{ id: "t", projectId: "p", name: "Build", sizing: "duration", durationDays: 5 }],
  assignments: [{ id: "a", taskId: "t", personId: "mara", hours: 50 }],
  timeEntries: [],
  links: [],
  expenses: [],
  actualCosts: [],
  requests: [],
  comments: [],
  acceptances: [],
  baselines: [],
};

test("a project against its baseline, by hand: planned, earned, spent, and at completion", () => {
  const promised = made(small, { kind: "addBaseline", id: "b", name: "Agreed" });
  // 20 hours were worked on three days; 30 remain, from Thursday on.
  const tracked = made(promised, { kind: "changeProject", id: "p", set: { tracking: "recorded" } });
  const plan: Plan = {
    ...tracked,
    timeEntries: [
      { id: "e1", personId: "mara", taskId: "t", date: "2027-03-01", hours: 10, state: "approved" },
      { id: "e2", personId: "mara", taskId: "t", date: "2027-03-02", hours: 10, state: "approved" },
    ],
  };
  const model = buildModel(plan);
  const { baselineId, rows: projects } = earnedOf(model, { baselineId: null, by: "project" });
  expect(baselineId).toBe("b");
  const [{ promised: figures, ...row }] = projects;
  expect({ percent: row.percent, actual: row.actualCost, remaining: row.remainingCost, finish: formatDay(row.finish ?? 0) }).toEqual({
    percent: 4_000,
    actual: 100_000,
    remaining: 150_000,
    finish: "2027-03-08",
  });
  expect(figures).toMatchObject({
    cost: 250_000,
    plannedValue: 150_000,
    earnedValue: 100_000,
    scheduleVariance: -50_000,
    costVariance: 0,
    spi: 6_667,
    cpi: 10_000,
    atCompletion: 250_000,
    varianceAtCompletion: 0,
    finishDays: 1,
    workMinutes: 0,
  });
  expect(earnedTasks(model, { baselineId: "b", projectId: "p" })).toMatchObject([{ name: "Build", promised: { finishDays: 1 } }]);
  // Monday, Thursday with the status date, and the day after the last one.
  expect(earnedCurve(model, { baselineId: "b", projectId: "p" }).map(({ day, ...own }) => ({ day: formatDay(day), ...own }))).toEqual([
    { day: "2027-03-01", planned: 0, spent: 0, forecast: null },
    { day: "2027-03-04", planned: 150_000, spent: 100_000, forecast: 100_000 },
    { day: "2027-03-08", planned: 250_000, spent: null, forecast: 200_000 },
    { day: "2027-03-09", planned: 250_000, spent: null, forecast: 250_000 },
  ]);
});

test("a baseline holds the chosen projects, and none that is not there", () => {
  const [first, second] = base.projects;
  const plan = made(base, { kind: "addBaseline", id: "one", name: "One", projectIds: [second.id] });
  expect(plan.baselines.at(-1)?.projects.map(({ projectId }) => projectId)).toEqual([second.id]);
  expect(applyEdit(base, { kind: "addBaseline", id: "none", name: "None", projectIds: [first.id, "gone"] }).plan).toBeNull();
  const without = made(plan, { kind: "deleteBaseline", id: "one" });
  expect(without.baselines).toEqual(base.baselines);
});

test.each([2, 3, 4, 5, 6, 7])(
  "always: rows are those of the report, and a curve ends at what is promised and at completion (seed %i)",
  (seed) => {
    const before = trackedPlan(seed);
    const plan = made(before, { kind: "addBaseline", id: "b", name: "Agreed" });
    const model = buildModel(plan);
    const report = progressReport(model, plan.baselines.at(-1) ?? null);
    const { rows: projects, totals } = earnedOf(model, { baselineId: "b", by: "project" });
    expect(totals?.promised?.atCompletion).toBe(report.totals.baseline?.atCompletion);
    expect(projects.length).toBe(report.projects.filter(({ baseline }) => baseline).length);
    for (const { id, actualCost, remainingCost, promised } of projects) {
      // Nothing has changed since it was taken.
      expect(promised).toMatchObject({ costDifference: 0, workMinutes: 0, finishDays: 0 });
      const curve = earnedCurve(model, { baselineId: "b", projectId: id });
      const end = curve.at(-1);
      expect(end?.planned ?? 0).toBe(promised?.cost);
      if (curve.length > 0) expect(end?.forecast ?? end?.spent).toBe(actualCost + remainingCost);
      const status = curve.find(({ day }) => day === model.progress.status);
      if (status) expect([status.planned, status.spent]).toEqual([promised?.plannedValue, actualCost]);
    }
  },
);
