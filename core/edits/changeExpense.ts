// Sets keys of an expense: its amount, its dates, what it is.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeExpense"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.expenses, ["id"])),
});

export const changeExpense: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "expenses", id, set),
  words: (plan, { id }) => `change the expense "${findRow(plan.expenses, id)?.name ?? id}"`,
};
