// The dates that the latest baseline of a project promised, for its outline.
import type { Day } from "../calendar/day.ts";
import type { Model } from "../model.ts";
import { latestBaselineOf } from "../status/baselines.ts";
import { finishDays, promisesOf } from "../status/earnedValue.ts";

export interface PromisedDates {
  /** Name of the baseline. */
  name: string;
  /** By task id; working days by which the finish is later now, null without dates. Tasks without promised dates are left out. */
  tasks: Record<string, { start: Day; finish: Day; finishDays: number | null }>;
}

/** The dates of a project's tasks in the latest baseline that holds it; null where none does. */
export function promisedOf(model: Model, { projectId }: { projectId: string }): PromisedDates | null {
  const { plan, schedule } = model;
  const baseline = latestBaselineOf(plan, projectId);
  if (!baseline) return null;
  const { tasks } = promisesOf(model, baseline, new Int32Array(plan.tasks.length));
  const { line, lines } = schedule.network;
  const found: PromisedDates["tasks"] = {};
  for (const [row, { id, projectId: own }] of plan.tasks.entries()) {
    const { start, finish } = tasks[row];
    if (own !== projectId || start === null || finish === null) continue;
    found[id] = { start, finish, finishDays: finishDays(lines[line[row]], schedule.of(row)?.finish.day ?? null, finish) };
  }
  return { name: baseline.name, tasks: found };
}
