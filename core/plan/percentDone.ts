// The progress of a task as it counts.
import type { Task } from "./schema.ts";

/** A task's progress in percent, 0 to 100. A task in the state "done" counts as 100, regardless of its stated percentage. */
export const percentDone = ({ state, percentComplete = 0 }: Pick<Task, "state" | "percentComplete">): number =>
  state === "done" ? 100 : percentComplete;
