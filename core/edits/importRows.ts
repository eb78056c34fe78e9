// Imports rows of a file: new ones are added, those with a known id are replaced. One edit, one undo.
import * as z from "zod";
import { FILE_LIMITS } from "../plan/limits.ts";
import { type ImportedList, importedLists } from "../plan/lists.ts";
import { findRow, rowsOf } from "../plan/rows.ts";
import { changedSchemas, type Plan, type Row } from "../plan/schema.ts";
import { type Change, changeOf } from "./change.ts";
import { exchangeFault } from "./changeExchange.ts";
import type { EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("importRows"),
  /** Name of the file, for the trail. */
  source: z.string().max(300),
  // The rows themselves are checked like those of every edit.
  rows: z
    .array(z.strictObject({ list: z.enum(importedLists), row: z.looseObject({ id: z.string() }) }))
    .min(1)
    .max(FILE_LIMITS.rows),
});

export const importRows: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { rows }) => {
    for (const { list, row } of rows) {
      // A row of another form is refused with all others, after this.
      const exchange = list === "exchange" ? changedSchemas.exchange.safeParse(row).data : undefined;
      const fault = exchange ? exchangeFault(plan, exchange.rates) : null;
      if (fault !== null) return { fault };
    }
    return { changes: rows.map(({ list, row }) => broughtIn(plan, list, row as Row)) };
  },
  words: (_, { source, rows }) => `import ${rows.length === 1 ? "a row" : `${rows.length} rows`} from ${source}`,
};

function broughtIn(plan: Plan, list: ImportedList, row: Row): Change {
  const before = findRow(rowsOf(plan, list), row.id) ?? null;
  return changeOf(list, { id: row.id, before, after: row, ...(before === null && { next: null }) });
}
