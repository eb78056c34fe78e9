// The days an assignment may be worked on: its task's, cut by its own first and last day.
import type { Range } from "../calendar/periods.ts";
import type { TaskDates } from "../schedule/dates.ts";
import type { Work } from "../work/work.ts";

/** The window of a row of work; empty where the task's days and its own do not meet. */
export function windowOf({ start, finish }: TaskDates, { from, to }: Work, row: number): Range {
  const first = Math.max(start.day, from[row]);
  return { start: first, stop: Math.max(first, Math.min(finish.day, to[row]) + 1) };
}
