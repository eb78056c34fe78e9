// The part of each working day that lies within a task.
import type { Day } from "../calendar/day.ts";
import { finishTickOf, startTickOf, TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { TaskDates } from "./dates.ts";

/** Ticks of a working day from a task's start to its finish that lie within its instants: only its first and last day
 * can be cut. */
export function partOf({ startAt, finishAt, start, finish }: TaskDates, day: Day): number {
  if (startAt === finishAt) return 0;
  const from = day === start.day ? startTickOf(startAt) : 0;
  const to = day === finish.day ? finishTickOf(finishAt) : TICKS_PER_DAY;
  return to - from;
}

/** Calls back for every working day of a task with its ticks, in date order; not at all for a task without duration. */
export function forWorkingDays(dates: TaskDates, visit: (day: Day, ticks: number) => void): void {
  if (dates.isIdlePin) return;
  for (let index = Math.floor(dates.startAt / TICKS_PER_DAY); index * TICKS_PER_DAY < dates.finishAt; index++) {
    const day = dates.line.dayAt(index);
    visit(day, partOf(dates, day));
  }
}
