// Sets keys of an assignment: how much, how, when, how firm.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";
import { taskNameOf } from "./words.ts";

const schema = z.strictObject({
  kind: z.literal("changeAssignment"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.assignments, ["id", "taskId"])),
});

export const changeAssignment: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  // The day that typed hours follow goes with them.
  changes: (plan, { id, set }) => changedRow(plan, "assignments", id, set.custom === null ? { customFrom: null, ...set } : set),
  words: (plan, { id }) => `change work on "${taskNameOf(plan, id)}"`,
};
