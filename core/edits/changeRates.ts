// Replaces the entries of a rate table.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeRates"),
  tableId: z.string(),
  entries: rowSchemas.rateTables.shape.entries,
});

export const changeRates: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { tableId, entries }) => changedRow(plan, "rateTables", tableId, { entries }),
  words: (plan, { tableId }) => `change rates in "${findRow(plan.rateTables, tableId)?.name ?? tableId}"`,
};
