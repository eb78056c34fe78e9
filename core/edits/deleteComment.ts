// Takes a comment away.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteComment"), id: z.string() });

export const deleteComment: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "comments", id),
  words: (plan, { id }) => `delete a comment on "${findRow(plan.tasks, findRow(plan.comments, id)?.taskId)?.name ?? ""}"`,
};
