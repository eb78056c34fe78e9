// Drawing an end of a task's bar: it lasts longer or shorter, and begins on another day where its first end was drawn.
import { type Day, formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import { applyEdit, type Edit, type SingleEdit } from "../edits/edit.ts";
import { singleEdits } from "../edits/together.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import type { Task } from "../plan/schema.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { updateModel } from "../update/update.ts";
import { type Drop, type DropOption, dropOf } from "./drop.ts";
import type { BarFault } from "./moveBar.ts";

/** Whole days by which the two ends of a task's bar are drawn. */
export interface TaskStretch {
  taskId: string;
  startDays: number;
  stopDays: number;
}

/** The ways to have it so, and the task's dates after the first of them. */
export interface StretchedTask extends Drop {
  range: Range;
}

/** The effect of dragging the ends of a task's bar; the plan itself does not change. */
export function stretchTask(model: Model, { taskId, startDays, stopDays }: TaskStretch): StretchedTask | { fault: BarFault } {
  const row = rowById(model.plan.tasks).get(taskId);
  if (row === undefined) return { fault: "gone" };
  const dates = model.schedule.of(row);
  if (!dates || dates.isSummary) return { fault: "noDates" };
  const task = model.plan.tasks[row];
  if (task.sizing === "effort") return { fault: "byEffort" };
  const [from, to] = [dates.start.day + startDays, dates.finish.day + stopDays];
  if (from > to) return { fault: "tooShort" };
  const options = stretchOptions(model, task, dates, from, to);
  if (options.length === 0) return { fault: "heldByLinks" };
  const range = rangeAfter(model, row, options[0].edit);
  return range ? { taskId, start: from, options, range } : { fault: "tooShort" };
}

/** The ways to have a task last from one day to another: a pinned one gets other dates; one of some working days more or
 * fewer of them, and where it has to begin on another day for that, in each way in which it can. */
export function stretchOptions(model: Model, task: Task, dates: TaskDates, from: Day, to: Day): DropOption[] {
  const { line, startAt, start } = dates;
  if (task.sizing === "dates")
    return [{ way: "longer", edit: { kind: "changeTask", id: task.id, set: { start: formatDay(from), finish: formatDay(to) } } }];
  const first = from === start.day ? startAt : line.place(from, 0);
  const durationDays = (line.place(to + 1, 0) - first) / TICKS_PER_DAY;
  if (durationDays <= 0) return [];
  if (first === startAt) return [{ way: "longer", edit: { kind: "changeTask", id: task.id, set: { durationDays } } }];
  return (dropOf(model, task.id, from)?.options ?? []).map((option) => ({ ...option, edit: lasting(option, task, durationDays, to) }));
}

/** A way to begin on another day, with how long the task lasts then. */
function lasting({ way, edit }: DropOption, { id, name }: Task, durationDays: number, to: Day): Edit {
  if (edit.kind === "changeTask")
    return { ...edit, set: { ...edit.set, ...(way === "pin" ? { finish: formatDay(to) } : { durationDays }) } };
  const edits: SingleEdit[] = [...singleEdits(edit), { kind: "changeTask", id, set: { durationDays } }];
  return { kind: "together", words: `change how long ${name} lasts`, edits };
}

/** A task's dates after an edit: what is promised is what has been tried. Null where it cannot be made. */
export function rangeAfter(model: Model, taskRow: number, edit: Edit): Range | null {
  const tried = applyEdit(model.plan, edit);
  const dates = tried.plan && updateModel(model, tried.plan, tried.changes).schedule.of(taskRow);
  return dates && { start: dates.start.day, stop: dates.finish.day + 1 };
}
