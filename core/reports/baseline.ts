// The baseline report: a baseline of the plan as it is, and the plan that keeps it.
import type { Model } from "../model.ts";
import type { Baseline, Plan } from "../plan/schema.ts";
import { takeBaseline } from "../status/takeBaseline.ts";

/** Takes a baseline.
 * @param projects Rows of its projects; all that are not cancelled by default.
 * @returns Its size, and the plan with it in the place of one with its id or at the end. */
export function baselineReport(model: Model, { id, name }: Pick<Baseline, "id" | "name">, projects?: ReadonlySet<number>) {
  const { plan } = model;
  const held = projects ?? new Set(plan.projects.flatMap(({ stage }, row) => (stage === "cancelled" ? [] : [row])));
  const baseline = takeBaseline(model, { id, name }, held);
  const sums = { minutes: 0, cost: 0 };
  for (const { unplaced, days } of baseline.tasks) {
    sums.minutes += unplaced;
    for (const [, minutes, minor] of days) {
      sums.minutes += minutes;
      sums.cost += minor;
    }
  }
  for (const { days } of baseline.projects) for (const [, minor] of days) sums.cost += minor;
  return {
    report: { id, tasks: baseline.tasks.length, projects: baseline.projects.length, ...sums },
    after: withBaseline(plan, baseline),
  };
}

function withBaseline(plan: Plan, baseline: Baseline): Plan {
  const isKnown = plan.baselines.some(({ id }) => id === baseline.id);
  const baselines = isKnown ? plan.baselines.map((own) => (own.id === baseline.id ? baseline : own)) : [...plan.baselines, baseline];
  return { ...plan, baselines };
}
