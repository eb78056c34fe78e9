// The names of the states of a task.
import type { Task } from "../../core/plan/schema.ts";

export const taskStates: Record<NonNullable<Task["state"]>, string> = { notStarted: "Not started", underWay: "Under way", done: "Done" };
