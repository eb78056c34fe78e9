// The days that a pinned task is held at.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Task } from "../plan/schema.ts";

/** The start and the finish that a task states; null where it does not state both. */
export function statedPin({ start, finish }: Pick<Task, "start" | "finish">): { start: Day; finish: Day } | null {
  return start === undefined || finish === undefined ? null : { start: parseDay(start), finish: parseDay(finish) };
}
