// Takes a person, or something, off a task.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";
import { assigneeName, taskNameOf } from "./words.ts";

const schema = z.strictObject({ kind: z.literal("deleteAssignment"), id: z.string() });

export const deleteAssignment: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "assignments", id),
  words: (plan, { id }) => `remove ${assigneeName(plan, findRow(plan.assignments, id) ?? {})} from "${taskNameOf(plan, id)}"`,
};
