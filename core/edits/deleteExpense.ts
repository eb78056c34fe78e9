// Takes an expense away.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteExpense"), id: z.string() });

export const deleteExpense: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "expenses", id),
  words: (plan, { id }) => `delete the expense "${findRow(plan.expenses, id)?.name ?? id}"`,
};
