// Changing when an assignment is worked, from its bar: moved or stretched along time.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Edit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { customShift } from "../placing/place.ts";
import { rowById } from "../plan/rows.ts";
import type { Assignment } from "../plan/schema.ts";
import type { TaskDates } from "../schedule/dates.ts";

/** The reason why a bar cannot be moved: it is already there, it has no value to type, it is gone, its task has no dates or takes
 * them from its effort, links alone decide when it starts, it cannot start there, it would have no time, or it
 * lies where people have recorded their hours. */
export type BarFault = "recorded" | "unchanged" | "notTyped" | "gone" | "noDates" | "byEffort" | "heldByLinks" | "cannotStart" | "tooShort";

/** An edit, or why there is none. */
export type BarChange = { edit: Edit; range: Range } | { fault: BarFault };

export interface BarPlace {
  assignment: Assignment;
  row: number;
  dates: TaskDates;
  task: { start: Day; finish: Day };
}

/** Moves the ends of an assignment by some days each, within its task. Typed weeks move along; of work without dates of
 * its own the days are its own from then on. */
export function moveBar(model: Model, assignmentId: string, startDays: number, stopDays: number): BarChange {
  const place = placeOf(model, assignmentId);
  if ("fault" in place) return place;
  const { assignment, task } = place;
  if (assignment.custom) return moveBuckets(place, startDays, stopDays);
  const [from, to] = [Math.max(task.start, own(assignment.from, task.start)), Math.min(task.finish, own(assignment.to, task.finish))];
  const isMoved = startDays === stopDays;
  // A whole bar keeps its length: it stops where its task does.
  const by = isMoved ? Math.max(task.start - from, Math.min(task.finish - to, startDays)) : 0;
  const start = isMoved ? from + by : Math.max(task.start, Math.min(to, from + startDays));
  const finish = isMoved ? to + by : Math.min(task.finish, Math.max(start, to + stopDays));
  if (start === from && finish === to) return { fault: "unchanged" };
  return {
    edit: {
      kind: "changeAssignment",
      id: assignmentId,
      set: { from: start === task.start ? null : formatDay(start), to: finish === task.finish ? null : formatDay(finish) },
    },
    range: { start, stop: finish + 1 },
  };
}

/** The place of an assignment with its own dates, or why it has none. */
export function placeOf({ plan, schedule, work }: Model, assignmentId: string): BarPlace | { fault: BarFault } {
  const row = rowById(plan.assignments).get(assignmentId);
  if (row === undefined || work.isMaterial[row] === 1) return { fault: "gone" };
  const dates = schedule.of(work.task[row]);
  if (!dates) return { fault: "noDates" };
  if (plan.tasks[work.task[row]].sizing === "effort")
    return {
      fault: "byEffort",
    };
  return { assignment: plan.assignments[row], row, dates, task: { start: dates.start.day, finish: dates.finish.day } };
}

function own(date: string | undefined, otherwise: Day): Day {
  return date === undefined ? otherwise : parseDay(date);
}

function moveBuckets({ assignment, dates }: BarPlace, startDays: number, stopDays: number): BarChange {
  const { id, custom = [] } = assignment;
  const moved = custom.map((bucket, at) => {
    const isFirst = at === 0;
    const isLast = at === custom.length - 1;
    const from = parseDay(bucket.from) + (startDays === stopDays || isFirst ? startDays : 0);
    const to = parseDay(bucket.to) + (startDays === stopDays || isLast ? stopDays : 0);
    return { ...bucket, from: formatDay(from), to: formatDay(Math.max(from, to)) };
  });
  if (moved.length === 0) return { fault: "notTyped" };
  const shift = customShift(assignment, dates);
  const range = { start: parseDay(moved[0].from) + shift, stop: parseDay(moved[moved.length - 1].to) + 1 + shift };
  return { edit: { kind: "changeAssignment", id, set: { custom: moved } }, range };
}
