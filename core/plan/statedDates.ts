// The dates that tasks and pieces of work state themselves, and the same after a move.
import type { Assignment, Task } from "./schema.ts";

export const taskDates = ["start", "finish", "notBefore", "notAfter", "finishNotBefore", "finishNotAfter", "deadline"] as const;

type Move = (date: string) => string;

/** The dates a task states, moved; those it does not state are left out. */
export function movedTaskDates(task: Pick<Task, (typeof taskDates)[number]>, move: Move): Partial<Task> {
  return Object.fromEntries(taskDates.flatMap((key) => (task[key] === undefined ? [] : [[key, move(task[key])]])));
}

/** The same of a piece of work: the ends that a person has of their own, and typed hours. */
export function movedWorkDates({ from, to, custom, customFrom }: Partial<Assignment>, move: Move): Partial<Assignment> {
  return {
    ...(from !== undefined && { from: move(from) }),
    ...(to !== undefined && { to: move(to) }),
    ...(customFrom !== undefined && { customFrom: move(customFrom) }),
    ...(custom && { custom: custom.map((bucket) => ({ ...bucket, from: move(bucket.from), to: move(bucket.to) })) }),
  };
}
