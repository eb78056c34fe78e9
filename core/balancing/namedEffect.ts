// An effect as people read it: with the names of the projects and people it touches.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import type { Effect } from "./measures.ts";
import { grownOf } from "./remedies.ts";

/** An effect with the names of what it touches. */
export interface NamedEffect extends Omit<Effect, "finishes" | "grows"> {
  finishes: { name: string; days: number; finish: Day }[];
  grows: { name: string; week: Range; minutes: number }[];
  /** Minutes over capacity that come up again. */
  grown: number;
}

/** An effect in names. */
export function namedEffect(plan: Plan, effect: Effect): NamedEffect {
  return {
    ...effect,
    finishes: effect.finishes.map(({ projectId, ...rest }) => ({ ...rest, name: findRow(plan.projects, projectId)?.name ?? projectId })),
    grows: effect.grows.map(({ personId, ...rest }) => ({ ...rest, name: findRow(plan.people, personId)?.name ?? personId })),
    grown: grownOf(effect),
  };
}
