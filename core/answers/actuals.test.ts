// Planned against actual: every way of adding up has the same total, that of the progress report.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel, type Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { isFirm } from "../recorded/actuals.ts";
import { progressReport } from "../reports/progress.ts";
import { type ActualBy, actualBys, actualLinesOf, actualsOf } from "./actuals.ts";
import { effortBys, effortsOf } from "./efforts.ts";

function made(plan: Plan, ...edits: Edit[]): Plan {
  return edits.reduce((own, edit) => {
    const { plan: next, faults } = applyEdit(own, edit);
    expect(faults).toEqual([]);
    return next as Plan;
  }, plan);
}

/** A project of one task of 20 hours and a crane of 1,000, which is ordered; a baseline promises both. */
function craned(...edits: Edit[]): Model {
  const base = fernhollow();
  const [calendar] = base.calendars;
  const plan: Plan = { ...base, projects: [], tasks: [], links: [], assignments: [], expenses: [], templates: [], comments: [] };
  const first: Edit[] = [
    {
      kind: "addProject",
      project: {
        id: "p",
        name: "Loan",
        calendarId: calendar.id,
        stage: "active",
        start: "2027-02-01",
        tracking: "recorded",
        costTableId: "studio-cost",
      },
      tasks: [{ id: "t", projectId: "p", name: "Build", sizing: "duration", durationDays: 5 }],
      links: [],
      assignments: [{ id: "a", taskId: "t", personId: "mara", hours: 20 }],
    },
    {
      kind: "addExpense",
      expense: { id: "x", projectId: "p", name: "Crane", date: "2027-02-10", amount: 1000, costType: "hardware", state: "committed" },
    },
    { kind: "addBaseline", id: "b", name: "Agreed" },
  ];
  return buildModel(made(plan, ...first, ...edits));
}

const figuresOf = (model: Model, by: ActualBy) =>
  actualsOf(model, { by, projectId: null, baselineId: null }).rows.map(({ key, planned, committed, actual, remaining, variance }) => [
    key,
    planned,
    committed,
    actual,
    remaining,
    variance,
  ]);

test("an expense that is ordered is committed until it is booked, and what is booked beyond the promise is its variance", () => {
  const before = craned();
  // Mara's hour costs 42.
  const labour = 84_000;
  expect(figuresOf(before, "project")).toEqual([["p", labour + 100_000, 100_000, 0, labour + 100_000, 0]]);
  const booking = {
    id: "k",
    projectId: "p",
    expenseId: "x",
    date: "2027-01-28",
    amount: 1200,
    costType: "hardware" as const,
    reference: "R 1",
  };
  const after = craned({ kind: "addBooking", booking });
  expect(figuresOf(after, "project")).toEqual([["p", labour + 100_000, 0, 120_000, labour, -20_000]]);
  expect(figuresOf(after, "month").map(([, planned, , actual, remaining]) => [planned, actual, remaining])).toEqual([
    [0, 120_000, 0],
    [labour + 100_000, 0, labour],
  ]);
  const lines = actualLinesOf(after, { by: "kind", projectId: null, baselineId: null, key: "expense" });
  expect(lines).toMatchObject([
    { name: "Crane", actual: 120_000, remaining: 0, bookings: [{ id: "k", amount: 120_000, reference: "R 1" }] },
  ]);
});

test("approved hours are actual, by day, and what the person recorded is the line's", () => {
  const recorded: Edit[] = [
    { kind: "recordHours", personId: "mara", cells: [{ newId: "e1", date: "2027-01-28", hours: 6, taskId: "t" }] },
    { kind: "decideHours", ids: ["e1"], state: "submitted" },
    { kind: "decideHours", ids: ["e1"], state: "approved" },
  ];
  const [line] = actualLinesOf(craned(...recorded), { by: "kind", projectId: "p", baselineId: "b", key: "labour" });
  expect(line).toMatchObject({ who: "Mara Ellingsen", entries: [{ minutes: 360 }] });
  expect(effortsOf(craned(...recorded), { by: "person", projectId: null }).rows).toMatchObject([
    { id: "mara", planned: 1200, spent: 360, remaining: 840, more: 0 },
  ]);
});

test.each([1, 2, 3, 4, 5, 6, 7, 8])("always: every way of adding up has the total of the progress report (seed %i)", (seed) => {
  const before = trackedPlan(seed);
  const promised = made(before, { kind: "addBaseline", id: "b", name: "Agreed" });
  const plan = { ...promised, settings: { ...promised.settings, today: before.settings.today } };
  const model = buildModel(plan);
  const { totals, projects } = progressReport(model, plan.baselines[0]);
  for (const by of actualBys) {
    const found = actualsOf(model, { by, projectId: null, baselineId: "b" });
    expect([found.totals.actual, found.totals.remaining], by).toEqual([totals.actualCost, totals.remainingCost]);
    expect(found.rows.reduce((sum, { atCompletion }) => sum + atCompletion, 0)).toBe(found.totals.atCompletion);
    if (by === "kind" || by === "supplier") expect(found.totals.planned).toBeNull();
    else expect([found.totals.planned, found.totals.variance]).toEqual([totals.baseline?.cost, totals.baseline?.varianceAtCompletion]);
    for (const row of found.rows.slice(0, 6)) {
      const lines = actualLinesOf(model, { by, projectId: null, baselineId: "b", key: row.key });
      const sum = (key: "actual" | "remaining") => lines.reduce((all, own) => all + own[key], 0);
      expect([sum("actual"), sum("remaining")], `${by} ${row.key}`).toEqual([row.actual, row.remaining]);
    }
  }
  const firm = new Set(plan.projects.filter(isFirm).map(({ id }) => id));
  const minutes = projects.filter(({ id }) => firm.has(id)).reduce((sum, { actual }) => sum + actual, 0);
  for (const by of effortBys) expect(effortsOf(model, { by, projectId: null }).totals.spent).toBe(minutes);
});
