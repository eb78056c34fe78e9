// Dragging a person's bar along time, or stretching it: inside its task it is the person's own dates that change; further
// than that the task moves or lasts longer, with everyone on it.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Edit, SingleEdit } from "../edits/edit.ts";
import { singleEdits } from "../edits/together.ts";
import type { Model } from "../model.ts";
import { findRow, membersOf, rowById } from "../plan/rows.ts";
import type { Assignment, Plan, Task } from "../plan/schema.ts";
import { movedWorkDates } from "../plan/statedDates.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { type Drop, dropOf } from "./drop.ts";
import { type BarFault, moveBar, placeOf } from "./moveBar.ts";
import { rangeAfter, stretchOptions } from "./stretchTask.ts";

/** The drag of a bar: whole days by which its two ends move; the same for both if it is moved without a change of length. */
export interface BarDrag {
  assignmentId: string;
  startDays: number;
  stopDays: number;
}

/** The task moves or lasts longer. Where there is more than one way to have it so, it has to be asked which. */
export interface TaskShift extends Drop {
  as: "task";
  taskName: string;
  /** The task's dates after the first of the ways. */
  range: Range;
  /** The other people assigned to it. */
  others: string[];
}

export type BarShift = { as: "own"; edit: Edit; range: Range } | TaskShift | { fault: BarFault };

/** The effect of a drag along time; the plan itself does not change. */
export function shiftBar(model: Model, { assignmentId, startDays, stopDays }: BarDrag): BarShift {
  const { plan, schedule, work } = model;
  const row = rowById(plan.assignments).get(assignmentId);
  if (row === undefined || work.isMaterial[row] === 1) return { fault: "gone" };
  const dates = schedule.of(work.task[row]);
  if (!dates) return { fault: "noDates" };
  const task = plan.tasks[work.task[row]];
  const assignment = plan.assignments[row];
  const isWhole = startDays === stopDays;
  if (task.sizing === "effort") return isWhole ? movedTask(model, row, dates, startDays) : { fault: "byEffort" };
  if (assignment.custom || isInside(model, { assignmentId, startDays, stopDays })) {
    const change = moveBar(model, assignmentId, startDays, stopDays);
    return "fault" in change ? change : { as: "own", ...change };
  }
  if (isWhole) return movedTask(model, row, dates, startDays);
  return stretchedTask(model, row, dates, { startDays, stopDays });
}

/** True where the bar would still lie within its task. */
function isInside(model: Model, { assignmentId, startDays, stopDays }: BarDrag): boolean {
  const place = placeOf(model, assignmentId);
  if ("fault" in place) return false;
  const { from, to } = barOf(place.assignment, place.dates);
  return from + startDays >= place.task.start && to + stopDays <= place.task.finish;
}

/** The first and last day of a person's bar, as far as their task goes. */
function barOf({ from, to }: Assignment, { start, finish }: TaskDates): { from: Day; to: Day } {
  return {
    from: Math.max(start.day, from === undefined ? start.day : parseDay(from)),
    to: Math.min(finish.day, to === undefined ? finish.day : parseDay(to)),
  };
}

function movedTask(model: Model, row: number, dates: TaskDates, days: number): BarShift {
  const { plan, work } = model;
  const task = plan.tasks[work.task[row]];
  const drop = dropOf(model, task.id, dates.start.day + days);
  if (!drop || drop.options.length === 0) return { fault: drop ? "heldByLinks" : "cannotStart" };
  const by = drop.start - dates.start.day;
  const own = [...membersOf(work.byTask, work.task[row])].flatMap((at) => ownDatesMoved(plan.assignments[at], by));
  return shiftOf(model, row, { ...drop, options: drop.options.map((option) => ({ ...option, edit: withOthers(option.edit, own, task) })) });
}

/** Dates that a person has of their own within a task go along with it. */
export function ownDatesMoved(assignment: Assignment | undefined, by: number): SingleEdit[] {
  if (!assignment || (assignment.from === undefined && assignment.to === undefined)) return [];
  const { id, from, to } = assignment;
  return [{ kind: "changeAssignment", id, set: movedWorkDates({ from, to }, (date) => formatDay(parseDay(date) + by)) }];
}

const withOthers = (edit: Edit, own: readonly SingleEdit[], { name }: Task): Edit =>
  own.length === 0 ? edit : { kind: "together", words: `move ${name} with all its people`, edits: [...singleEdits(edit), ...own] };

/** An end of the bar is drawn out of its task: the task lasts longer on that side. */
function stretchedTask(model: Model, row: number, dates: TaskDates, { startDays, stopDays }: Omit<BarDrag, "assignmentId">): BarShift {
  const { plan, work } = model;
  const task = plan.tasks[work.task[row]];
  const assignment = plan.assignments[row];
  const bar = barOf(assignment, dates);
  const [from, to] = [Math.min(dates.start.day, bar.from + startDays), Math.max(dates.finish.day, bar.to + stopDays)];
  // A person with their own end within the task ends where the bar was drawn.
  const set = {
    ...(startDays !== 0 && assignment.from !== undefined && { from: null }),
    ...(stopDays !== 0 && assignment.to !== undefined && { to: null }),
  };
  const own: SingleEdit[] = Object.keys(set).length > 0 ? [{ kind: "changeAssignment", id: assignment.id, set }] : [];
  const options = stretchOptions(model, task, dates, from, to);
  if (options.length === 0) return { fault: "heldByLinks" };
  const all = options.map((option) => ({ ...option, edit: withOthers(option.edit, own, task) }));
  return shiftOf(model, row, { taskId: task.id, start: from, options: all });
}

/** The promised dates are those of the tried edit. */
function shiftOf(model: Model, row: number, drop: Drop): BarShift {
  const { plan, work } = model;
  const range = rangeAfter(model, work.task[row], drop.options[0].edit);
  if (!range) return { fault: "cannotStart" };
  const others = [...membersOf(work.byTask, work.task[row])].flatMap((at) => {
    const own = plan.assignments[at];
    return at === row || !own || work.isMaterial[at] === 1 ? [] : [holderName(plan, own)];
  });
  return { as: "task", taskName: plan.tasks[work.task[row]].name, range, others: [...new Set(others)], ...drop };
}

function holderName({ people, teams, roles }: Plan, { personId, teamId, roleId }: Assignment): string {
  return findRow(people, personId)?.name ?? findRow(teams, teamId)?.name ?? findRow(roles, roleId)?.name ?? "an opening";
}
