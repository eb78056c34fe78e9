// Two baselines side by side.
import { expect, test } from "vitest";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { progressReport } from "../reports/progress.ts";
import { deviationBys } from "../status/deviationBy.ts";
import { baselineChange } from "./baselineChange.ts";
import { earnedOf } from "./earned.ts";

const made = (plan: Plan, edit: Edit): Plan => applyEdit(plan, edit).plan ?? plan;

test.each([1, 2, 3, 4, 5])("always: a baseline taken now differs from an earlier one as the plan does (seed %i)", (seed) => {
  let plan = made(trackedPlan(seed), { kind: "addBaseline", id: "then", name: "Then" });
  for (const { id, durationDays = 0 } of plan.tasks.slice(0, 12))
    plan = made(plan, { kind: "changeTask", id, set: { durationDays: durationDays + 3 } });
  for (const { id } of plan.assignments.slice(0, 5)) plan = made(plan, { kind: "deleteAssignment", id });
  const model = buildModel(made(plan, { kind: "addBaseline", id: "now", name: "Now" }));
  const { totals } = progressReport(model, model.plan.baselines[0]);
  for (const by of deviationBys) {
    const change = baselineChange(model, { baselineId: "then", laterId: "now", by });
    expect([change?.totals.workMinutes, change?.totals.difference]).toEqual([
      totals.baseline?.workMinutes,
      totals.baseline?.costDifference,
    ]);
    const now = new Map(earnedOf(model, { baselineId: "then", by }).rows.map((row) => [row.id, row.promised]));
    let checked = 0;
    for (const { id, isIn, startDays, finishDays, workMinutes, difference } of change?.rows ?? []) {
      const row = now.get(id);
      if (isIn !== "both" || !row) continue;
      checked++;
      expect([startDays, finishDays, workMinutes, difference], `${by} ${id}`).toEqual([
        row.startDays,
        row.finishDays,
        row.workMinutes,
        row.costDifference,
      ]);
    }
    expect(checked).toBeGreaterThan(0);
  }
  const back = baselineChange(model, { baselineId: "now", laterId: "then", by: "project" });
  expect(back?.totals.difference).toBe(-(totals.baseline?.costDifference ?? 0) || 0);
  expect(baselineChange(model, { baselineId: "now", laterId: "gone", by: "project" })).toBeNull();
});
