// Adds a task to a project.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("addTask"),
  task: rowSchemas.tasks,
  /** Id of the task it is put before; null for the end of the list. */
  next: z.string().nullable(),
});

export const addTask: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { task, next }) => addedRow(plan, "tasks", task, next),
  words: (_, { task }) => `add the task "${task.name}"`,
};
