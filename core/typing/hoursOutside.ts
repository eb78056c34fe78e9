// Typed hours that fall before a task's start or after its finish, and the edit that moves the finish to hold them.

import { placeOf } from "../bars/moveBar.ts";
import { stretchOptions } from "../bars/stretchTask.ts";
import type { Day } from "../calendar/day.ts";
import type { SingleEdit } from "../edits/edit.ts";
import { singleEdits } from "../edits/together.ts";
import type { Model } from "../model.ts";
import { placedIn, workedDays } from "../placing/placements.ts";
import { rowById } from "../plan/rows.ts";
import { grouped } from "../values/grouped.ts";
import { lookUp } from "../values/lookUp.ts";
import type { TypedCell } from "./typeHours.ts";

/** A task with typed hours outside its dates. */
export interface HoursOutside {
  taskId: string;
  taskName: string;
  start: Day;
  finish: Day;
  /** Minutes before the start and after the finish, in the periods that were typed. */
  before: number;
  after: number;
  /** The edits that move the finish to the last of these days; empty if none is after it, or the finish cannot be moved. */
  moveFinish: SingleEdit[];
  /** The finish after it. */
  lastDay: Day;
}

/** Looks at periods that have been typed, as they are placed now.
 * @returns One row a task, in the order of the periods; tasks with all hours inside their dates are left out. */
export function hoursOutside(model: Model, cells: readonly Pick<TypedCell, "assignmentId" | "start" | "stop">[]): HoursOutside[] {
  const found = new Map<string, HoursOutside>();
  for (const [assignmentId, own] of grouped(cells, (cell) => cell.assignmentId)) {
    const place = placeOf(model, assignmentId);
    if ("fault" in place) continue;
    const { assignment, row, task } = place;
    const name = model.plan.tasks[model.work.task[row]].name;
    const known = found.get(assignment.taskId) ?? {
      taskId: assignment.taskId,
      taskName: name,
      ...task,
      before: 0,
      after: 0,
      moveFinish: [],
      lastDay: task.finish,
    };
    const placed = (start: Day, stop: Day) => (stop > start ? placedIn(model.placements, row, 10_000, start, stop) : 0);
    for (const { start, stop } of own) {
      known.before += placed(start, Math.min(stop, task.start));
      known.after += placed(Math.max(start, task.finish + 1), stop);
    }
    if (known.after > 0) known.lastDay = Math.max(known.lastDay, workedDays(model.placements, row).stop - 1);
    found.set(assignment.taskId, known);
  }
  return [...found.values()]
    .filter(({ before, after }) => before + after > 0)
    .map((own) => ({ ...own, moveFinish: own.after > 0 ? finishEdits(model, own) : [] }));
}

function finishEdits(model: Model, { taskId, start, lastDay }: HoursOutside): SingleEdit[] {
  const row = lookUp(rowById(model.plan.tasks), taskId);
  const dates = model.schedule.of(row);
  const option = dates && stretchOptions(model, model.plan.tasks[row], dates, start, lastDay)[0];
  return option ? singleEdits(option.edit) : [];
}
