// The values of one row between the plan, where a key that is not stated is missing, and the database, where it is null.
import type { Column } from "./columns.ts";

export type Json = Record<string, unknown>;

/** The row that the values of its columns state.
 * @param values One for each column, in their order; null where the row does not state the key. */
export function rowOf(columns: readonly Column[], values: readonly unknown[]): Json {
  const row: Json = {};
  columns.forEach(({ key }, at) => {
    if (values[at] !== null) row[key] = values[at];
  });
  return row;
}

/** The columns that a row states, by their names in SQL; the others stay null without being written. */
export function record(columns: readonly Column[], row: Json): Json {
  const stated: Json = {};
  for (const { key, name } of columns) if (row[key] !== undefined) stated[name] = row[key];
  return stated;
}
