// Puts a person, a team, a material or an opening on a task.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";
import { assigneeName } from "./words.ts";

const schema = z.strictObject({ kind: z.literal("addAssignment"), assignment: rowSchemas.assignments });

export const addAssignment: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { assignment }) => addedRow(plan, "assignments", assignment, null),
  words: (plan, { assignment }) => `assign ${assigneeName(plan, assignment)} to "${findRow(plan.tasks, assignment.taskId)?.name ?? ""}"`,
};
