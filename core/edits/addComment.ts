// Says something about a task, calling upon people and teams.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addComment"), comment: rowSchemas.comments });

export const addComment: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { comment }) => addedRow(plan, "comments", comment, null),
  words: (plan, { comment }) => `comment on "${findRow(plan.tasks, comment.taskId)?.name ?? ""}"`,
};
