// The hours that the rule of an assignment gives if its hours were typed: the same total, spread over its task again.
import type { Range } from "../calendar/periods.ts";
import { applyEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { rowById } from "../plan/rows.ts";
import { untype } from "../typing/typePeriod.ts";
import { updateModel } from "../update/update.ts";
import { lookUp } from "../values/lookUp.ts";

/** Minutes. */
export interface ByRule {
  inPeriod: number;
  inAll: number;
}

/** Tries it on a copy of the plan; null where nothing is typed. */
export function byRule(model: Model, assignmentId: string, range: Range): ByRule | null {
  const change = untype(model, assignmentId);
  if ("fault" in change) return null;
  const outcome = applyEdit(model.plan, change.edit);
  if (!outcome.plan) return null;
  const { plan, placements } = updateModel(model, outcome.plan, outcome.changes);
  const row = lookUp(rowById(plan.assignments), assignmentId);
  const [start, stop] = [placements.start[row], placements.start[row] + placements.length[row]];
  return {
    inPeriod: placedIn(placements, row, 10_000, range.start, range.stop),
    inAll: placedIn(placements, row, 10_000, start, stop),
  };
}
