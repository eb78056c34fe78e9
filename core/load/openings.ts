// Work that has nobody: openings recorded, and those that follow from an effort.
import type { Placed } from "../placing/placed.ts";
import { isOpening } from "../work/work.ts";

/** Work that has nobody: written-down openings and those that follow from an effort. */
export interface Opening {
  taskId: string;
  assignmentId?: string;
  roleId?: string;
  /** Its minutes, unweighted. */
  minutes: number;
}

/** True of an opening: one that is recorded, also while it asks for nothing yet, or the rest of an effort. */
export function needsSomebody({ work, placements }: Placed, row: number): boolean {
  return isOpening(work, row) && (row < work.assignments || placements.asked[row] > 0);
}

/** The id of an opening: its own, or that of the task whose effort has it. */
export const openingIdOf = ({ plan, work }: Placed, row: number): string =>
  row < work.assignments ? plan.assignments[row].id : plan.tasks[work.task[row]].id;

/** The rows of openings made in a role. */
export function openingsOfRole({ work }: Placed, role: number): number[] {
  const rows: number[] = [];
  for (let row = 0; row < work.rows; row++) if (work.role[row] === role && isOpening(work, row)) rows.push(row);
  return rows;
}

/** The openings that count, written-down ones first in plan order, then implicit ones by task. */
export function openingsIn(model: Placed, shares: Int32Array): Opening[] {
  const { plan, work, placements } = model;
  const openings: Opening[] = [];
  for (let row = 0; row < work.rows; row++) {
    if (shares[row] < 0 || !needsSomebody(model, row)) continue;
    openings.push({
      taskId: plan.tasks[work.task[row]].id,
      ...(row < work.assignments && { assignmentId: plan.assignments[row].id }),
      ...(work.role[row] >= 0 && { roleId: plan.roles[work.role[row]].id }),
      minutes: placements.asked[row],
    });
  }
  return openings;
}
