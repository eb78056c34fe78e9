"use client";
import type { Way } from "../../core/plan/workStated.ts";
// The former statement of an assignment: going back gives the same hours, without rounding there and back.
import type { StatedFields } from "../../core/typing/restate.ts";
import { isSame } from "../../core/values/same.ts";

interface Former {
  from: { way: Way; set: StatedFields };
  /** The statement that it was changed into; as long as that is the current one, the user can go back. */
  to: StatedFields;
}

const byAssignment = new Map<string, Former[]>();

export function keepFormer(assignmentId: string, former: Former): void {
  const kept = (byAssignment.get(assignmentId) ?? []).filter(({ from }) => from.way !== former.from.way);
  byAssignment.set(assignmentId, [...kept, former]);
}

/** The statement in a way from which the present one came, in one step or several; null where something else was typed
 * since. */
export function formerStatement(assignmentId: string, now: StatedFields, way: Way): StatedFields | null {
  const kept = byAssignment.get(assignmentId) ?? [];
  let [present, seen] = [now, 0];
  while (seen++ <= kept.length) {
    const step = kept.find(({ to }) => isSame(to, present));
    if (!step) return null;
    if (step.from.way === way) return step.from.set;
    present = step.from.set;
  }
  return null;
}
