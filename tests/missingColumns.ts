// The columns that a database lacks, or has with another type, each as the line of the migration that adds it.
import { join } from "node:path";
import type { Column } from "../store/columns.ts";
import { openPglite } from "../store/pglite.ts";
import { exchangeColumns, settingsColumns, tables } from "../store/tables.ts";

/** The columns that the database in a data folder is missing; no other process may have it open. */
export async function missingColumns(folder: string): Promise<string[]> {
  const database = await openPglite(join(folder, "pglite"));
  const found = await database.query<{ column: string }>(
    `select concat(table_name, '.', column_name, ' ', format_type(a.atttypid, null)) as column from information_schema.columns
     join pg_attribute a on a.attrelid = table_name::regclass and a.attname = column_name where table_schema = 'public'`,
  );
  await database.close();
  const known = new Set(found.map(({ column }) => column));
  const all: { table: string; columns: readonly Column[] }[] = [
    ...tables.flatMap((table) => [table, ...table.children]),
    { table: "settings", columns: settingsColumns },
    { table: "exchange_rates", columns: exchangeColumns },
  ];
  return all.flatMap(({ table, columns }) =>
    columns
      .filter(({ name, type }) => !known.has(`${table}.${name} ${type}`))
      .map(({ name, type }) => `A migration is missing: alter table ${table} add column ${name} ${type};`),
  );
}
