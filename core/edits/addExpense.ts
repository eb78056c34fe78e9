// Adds an expense to a project.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addExpense"), expense: rowSchemas.expenses });

export const addExpense: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { expense }) => addedRow(plan, "expenses", expense, null),
  words: (_, { expense }) => `add the expense "${expense.name}"`,
};
