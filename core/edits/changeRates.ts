// Changes cells of a rate table: figures or days of entries that are there, entries that are added, entries that go. What
// is not named stays as it is, so that two people in one table meet only in the same cell.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { rateKey } from "../plan/rateSubject.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { withSet } from "../values/stated.ts";
import { changedRow, type EditKind } from "./kind.ts";

const { personId, roleId, materialId, from, rate, overtimeRate, perUse } = rowSchemas.rateTables.shape.entries.element.shape;

const cells = z.strictObject({
  /** The entry as it is known: whom or what it is about, and from when. */
  of: z.strictObject({ personId, roleId, materialId, from }),
  /** New values; null takes one away, and null for all of them the whole entry. */
  set: z
    .strictObject({
      from: from.unwrap().nullable(),
      rate,
      overtimeRate: overtimeRate.unwrap().nullable(),
      perUse: perUse.unwrap().nullable(),
    })
    .partial()
    .nullable(),
});

const schema = z.strictObject({
  kind: z.literal("changeRates"),
  tableId: z.string(),
  cells: z.array(cells).max(10_000).optional(),
  added: rowSchemas.rateTables.shape.entries.max(10_000).optional(),
});

export const changeRates: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { tableId, cells: changed = [], added = [] }) => {
    const entries = [...(findRow(plan.rateTables, tableId)?.entries ?? [])];
    for (const { of, set } of changed) {
      const at = entries.findIndex((entry) => rateKey(entry) === rateKey(of));
      if (at < 0) return { fault: faultText.gone("rate") };
      if (set === null) entries.splice(at, 1);
      else entries[at] = withSet(entries[at], set);
    }
    return changedRow(plan, "rateTables", tableId, { entries: [...entries, ...added] });
  },
  words: (plan, { tableId }) => `change rates in "${findRow(plan.rateTables, tableId)?.name ?? tableId}"`,
};
