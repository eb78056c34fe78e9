// Deletes an expense; what was booked for it stays with the project.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { type Change, changeOf } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteExpense"), id: z.string() });

export const deleteExpense: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => {
    if (!findRow(plan.expenses, id)) return { fault: faultText.gone("expense") };
    return { changes: [...bookingsLeft(plan, id), ...deletedRows(plan, "expenses", (row) => row.id === id)] };
  },
  words: (plan, { id }) => `delete the expense "${findRow(plan.expenses, id)?.name ?? id}"`,
};

function bookingsLeft(plan: Plan, expenseId: string): Change[] {
  return plan.actualCosts
    .filter((booking) => booking.expenseId === expenseId)
    .map((before) => {
      const { expenseId: _, ...after } = before;
      return changeOf("actualCosts", { id: before.id, before, after });
    });
}
