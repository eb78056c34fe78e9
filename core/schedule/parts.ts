// How much of each working day lies within a task.
import type { Day } from "../calendar/day.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { TaskDates } from "./dates.ts";

/** Ticks of a working day that lie within the task's instants. */
export function partOf({ line, startAt, finishAt }: TaskDates, day: Day): number {
  const opens = line.indexOf(day) * TICKS_PER_DAY;
  return Math.max(0, Math.min(finishAt, opens + TICKS_PER_DAY) - Math.max(startAt, opens));
}

/** Calls back for every working day of a task with its ticks, in date order; not at all for a task without duration. */
export function forWorkingDays(dates: TaskDates, visit: (day: Day, ticks: number) => void): void {
  if (dates.isIdlePin) return;
  for (let index = Math.floor(dates.startAt / TICKS_PER_DAY); index * TICKS_PER_DAY < dates.finishAt; index++) {
    const day = dates.line.dayAt(index);
    visit(day, partOf(dates, day));
  }
}
