// Work that has nobody: openings written down, and those that follow from an effort.
import type { Model } from "../model.ts";
import { isOpening } from "./work.ts";

/** Work that has nobody and asks for time: written-down openings and those that follow from an effort. */
export interface Opening {
  taskId: string;
  assignmentId?: string;
  roleId?: string;
  /** What it asks for, unweighted. */
  minutes: number;
}

/** The openings that count, written-down ones first in plan order, then implicit ones by task. */
export function openingsIn({ plan, work, placements }: Model, shares: Int32Array): Opening[] {
  const openings: Opening[] = [];
  for (let row = 0; row < work.rows; row++) {
    if (shares[row] === 0 || !isOpening(work, row) || placements.asked[row] === 0) continue;
    openings.push({
      taskId: plan.tasks[work.task[row]].id,
      ...(row < work.assignments && { assignmentId: plan.assignments[row].id }),
      ...(work.role[row] >= 0 && { roleId: plan.roles[work.role[row]].id }),
      minutes: placements.asked[row],
    });
  }
  return openings;
}
