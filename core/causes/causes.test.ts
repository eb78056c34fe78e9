// The causes of a deviation: the parts of all steps are the whole of it.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { everyEditFrom } from "../../tests/everyEdit.ts";
import { editsFrom } from "../../tests/randomEdits.ts";
import { trackedPlan } from "../../tests/trackedPlan.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { progressReport } from "../reports/progress.ts";
import { causesOf, type MadeStep } from "./causes.ts";

const promised = (plan: Plan): Plan => applyEdit(plan, { kind: "addBaseline", id: "b", name: "Agreed" }).plan as Plan;

/** Edits made one after the other; those that the plan refuses are left out. */
function stepsFrom(start: Plan, edits: Iterable<(plan: Plan) => Edit>): { plan: Plan; steps: MadeStep[] } {
  let plan = start;
  const steps: MadeStep[] = [];
  for (const edit of edits) {
    const outcome = applyEdit(plan, edit(plan));
    if (!outcome.plan) continue;
    plan = outcome.plan;
    steps.unshift({ revision: steps.length + 1, changes: outcome.changes });
  }
  return { plan, steps };
}

test.each([1, 2, 3, 4, 5, 6])("always: the parts of the steps are the deviation of each project (seed %i)", (seed) => {
  const random = seed % 2 === 0 ? editsFrom(seed) : everyEditFrom(seed);
  const { plan, steps } = stepsFrom(
    promised(trackedPlan(seed)),
    Array.from({ length: 30 }, () => random),
  );
  const model = buildModel(plan);
  const baseline = plan.baselines.find(({ id }) => id === "b");
  if (!baseline) return expect(steps.some(({ changes }) => changes.some(({ list }) => list === "baselines"))).toBe(true);
  let [checked, caused] = [0, 0];
  for (const row of progressReport(model, baseline).projects) {
    if (!row.baseline) continue;
    const causes = causesOf(model, steps, { projectId: row.id, taskId: null });
    const sum = (key: "startDays" | "finishDays" | "workMinutes" | "cost") => causes.reduce((all, own) => all + own[key], 0);
    const { startDays, finishDays, workMinutes, costDifference } = row.baseline;
    expect([sum("startDays"), sum("finishDays"), sum("workMinutes"), sum("cost")], row.id).toEqual([
      startDays,
      finishDays,
      workMinutes,
      costDifference,
    ]);
    checked++;
    caused += causes.length;
  }
  expect(checked).toBeGreaterThan(0);
  expect(caused).toBeGreaterThan(0);
});

test("only steps that moved the task are its causes, the newest first", () => {
  const plan = promised(fernhollow());
  const task = plan.tasks.find(({ sizing, durationDays = 0 }) => sizing === "duration" && durationDays > 0);
  if (!task) throw new Error("The demo plan has no task that is sized by its duration.");
  const days = task.durationDays as number;
  const edits: Edit[] = [
    { kind: "changeTask", id: task.id, set: { durationDays: days + 3 } },
    { kind: "changeTask", id: task.id, set: { name: "Another name" } },
    { kind: "changeTask", id: task.id, set: { durationDays: days + 2 } },
  ];
  const made = stepsFrom(
    plan,
    edits.map((edit) => () => edit),
  );
  const causes = causesOf(buildModel(made.plan), made.steps, { projectId: task.projectId, taskId: task.id });
  expect(causes.map(({ revision, finishDays }) => [revision, finishDays])).toEqual([
    [3, -1],
    [1, 3],
  ]);
});
