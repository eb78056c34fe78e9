// What the states of a task are called.
import type { Task } from "../../core/plan/schema.ts";

export const taskStates: Record<NonNullable<Task["state"]>, string> = { notStarted: "Not begun", underWay: "Under way", done: "Done" };
