// Closed months: no edit, import or undone step changes their hours.
import { expect, test } from "vitest";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { closingOf } from "../answers/closing.ts";
import { formatDay } from "../calendar/day.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { invert } from "./change.ts";
import { applyEdit, type Edit, faultsAfter } from "./edit.ts";

const closed = (plan: Plan, closedUntil: string): Plan => applyEdit(plan, { kind: "changeSettings", set: { closedUntil } }).plan as Plan;

test("always: no matter what is edited, hours of closed months stay as they are", () => {
  const refused = [1, 2, 3, 4].map(refusedOf);
  expect(Math.max(...refused)).toBeGreaterThan(0);
});

/** Makes edits of every kind on a plan with closed months. @returns How many were refused for that. */
function refusedOf(seed: number): number {
  const base = trackedPlan(seed);
  const dates = base.timeEntries.map(({ date }) => date).sort();
  const until = dates[Math.floor(dates.length / 2)];
  let plan = closed(base, until);
  const closedHours = (own: Plan) => own.timeEntries.filter(({ date }) => date <= until);
  const edit = everyEditFrom(seed);
  let refused = 0;
  for (let at = 0; at < 150; at++) {
    const { plan: next, faults } = applyEdit(plan, edit(plan));
    if (faults.some(({ message }) => message.includes("is closed"))) refused++;
    if (!next) continue;
    // Opening the month again is an edit of its own.
    plan = next.settings.closedUntil === until ? next : plan;
    expect(closedHours(plan)).toEqual(closedHours(base));
  }
  return refused;
}

test("a step in a month that was closed since is not undone, and an import into it is refused", () => {
  const base = trackedPlan(1);
  const [entry] = base.timeEntries.filter(({ state }) => state === "submitted");
  const made = applyEdit(base, { kind: "decideHours", ids: [entry.id], state: "approved" });
  if (!made.plan) throw new Error("The hours could not be approved.");
  const plan = closed(made.plan, entry.date);
  expect(faultsAfter(plan, invert(made.changes))[0]?.message).toContain(`The month of ${entry.date} is closed`);
  const edits: Edit[] = [
    { kind: "importRows", source: "f.csv", rows: [{ list: "timeEntries", row: { ...entry, hours: 1 } }] },
    { kind: "decideHours", ids: [entry.id], state: "submitted" },
    { kind: "recordHours", personId: entry.personId, cells: [{ newId: "n", date: entry.date, hours: 1, activity: "Meeting" }] },
  ];
  for (const edit of edits) expect(applyEdit(plan, edit).plan, edit.kind).toBeNull();
});

test("months that are over are offered, with the hours that nobody has approved", () => {
  const plan = trackedPlan(2);
  const { closedUntil, months } = closingOf(buildModel(plan));
  expect(closedUntil).toBeNull();
  expect(months).toHaveLength(12);
  for (const { last, waiting } of months) {
    expect(formatDay(last) < (plan.settings.today ?? "")).toBe(true);
    expect(formatDay(last + 1)).toMatch(/-01$/);
    expect(waiting).toBe(plan.timeEntries.filter(({ state, date }) => state !== "approved" && date <= formatDay(last)).length);
  }
});
