// Sets keys of a task.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas, type Task } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeTask"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.tasks, ["id", "projectId", "review"])),
});

/** The changes of a task; its review no longer applies once its state changes. */
export function reviewed(task: Task | undefined, set: Record<string, unknown>): Record<string, unknown> {
  if (set.state === undefined || (set.state ?? "notStarted") === (task?.state ?? "notStarted")) return set;
  return { ...set, review: null };
}

export const changeTask: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "tasks", id, reviewed(findRow(plan.tasks, id), set)),
  words: (plan, { id }) => `change the task "${findRow(plan.tasks, id)?.name ?? id}"`,
};
