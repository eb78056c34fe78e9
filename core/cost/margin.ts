// A project's margin over the whole plan, and what it is to reach.
import type { Plan } from "../plan/schema.ts";
import { percentHundredths } from "../values/units.ts";
import { type Costs, marginOf, moneyOver } from "./costs.ts";

/** A plan with what it costs, as the model has it. */
interface Costed {
  plan: Plan;
  costsOfHorizon(): Costs;
}

/** The margin of a project over the horizon in hundredths of a percent; null without revenue. */
export function projectMargin(model: Costed, project: number): number | null {
  const cost = model.costsOfHorizon().projects[project];
  if (!cost) return null;
  const sums = moneyOver(model.plan, cost);
  return marginOf(sums.revenue, sums.cost);
}

/** True of a margin that stays under its goal, where there are both. */
export const isBelowGoal = (margin: number | null, goal: number | null): boolean => margin !== null && goal !== null && margin < goal;

/** The margin goal of a project, in hundredths of a percent; null if it has none. */
export function marginGoal({ projects, settings }: Plan, project: number): number | null {
  const goal = projects[project].marginTarget ?? settings.marginTarget;
  return goal === undefined ? null : percentHundredths(goal);
}
