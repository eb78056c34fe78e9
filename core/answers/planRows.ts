// Rows of the plan as they are, for screens that need nothing else of it.
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Row } from "../plan/schema.ts";

type OfPlan = Pick<Model, "plan">;

/** A task by its id; null if it is not in the plan. */
export const taskOf = ({ plan }: OfPlan, { taskId }: { taskId: string }): Row<"tasks"> | null => findRow(plan.tasks, taskId) ?? null;

/** The saved views of a screen, in plan order. */
export const savedViews = ({ plan }: OfPlan, { screen }: { screen: string }): Row<"views">[] =>
  plan.views.filter((view) => view.screen === screen);

interface Named {
  id: string;
  name: string;
}

/** The people, projects and tasks that are locked against evening out, in plan order. */
export function locksOf({ plan }: OfPlan): { people: Named[]; projects: Named[]; tasks: Named[] } {
  const locked = (rows: readonly (Named & { locked?: true })[]) =>
    rows.filter((row) => row.locked).map(({ id, name }): Named => ({ id, name }));
  return { people: locked(plan.people), projects: locked(plan.projects), tasks: locked(plan.tasks) };
}
