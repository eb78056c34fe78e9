// The plan's settings and exchange rates: one row, and a short list without ids.
import type { Plan, Settings } from "../core/plan/schema.ts";
import type { Column } from "./columns.ts";
import type { Sql } from "./driver.ts";
import { record, rowOf } from "./rowValues.ts";
import { exchangeColumns, settingsColumns } from "./tables.ts";

/** Reads the settings; null in a database that holds no plan yet. */
export async function readSettings(sql: Sql): Promise<Settings | null> {
  const [row] = await sql.query<{ values: string }>(`select json_build_array(${namesOf(settingsColumns)})::text as values from settings`);
  return row ? (rowOf(settingsColumns, JSON.parse(row.values)) as unknown as Settings) : null;
}

/** Reads the exchange rates in list order. */
export async function readExchangeRates(sql: Sql): Promise<Plan["exchangeRates"]> {
  const [{ rates }] = await sql.query<{ rates: string | null }>(
    `select json_agg(json_build_array(${namesOf(exchangeColumns)}) order by position)::text as rates from exchange_rates`,
  );
  const read: unknown[][] = JSON.parse(rates ?? "[]");
  return read.map((values) => rowOf(exchangeColumns, values)) as unknown as Plan["exchangeRates"];
}

/** Overwrites the settings. */
export async function writeSettings(sql: Sql, settings: Settings): Promise<void> {
  await sql.query("delete from settings");
  await sql.query(
    `insert into settings (${namesOf(settingsColumns)})
     select ${namesOf(settingsColumns)} from json_to_record($1::json) as r(${typedNamesOf(settingsColumns)})`,
    [JSON.stringify(record(settingsColumns, { ...settings }))],
  );
}

/** Overwrites the exchange rates. */
export async function writeExchangeRates(sql: Sql, exchangeRates: Plan["exchangeRates"]): Promise<void> {
  await sql.query("delete from exchange_rates");
  await sql.query(
    `insert into exchange_rates (position, ${namesOf(exchangeColumns)})
     select position, ${namesOf(exchangeColumns)}
     from json_to_recordset($1::json) as r(position integer, ${typedNamesOf(exchangeColumns)})`,
    [JSON.stringify(exchangeRates.map((rate, position) => ({ position, ...record(exchangeColumns, rate) })))],
  );
}

const namesOf = (columns: readonly Column[]): string => columns.map(({ name }) => name).join(", ");
const typedNamesOf = (columns: readonly Column[]): string => columns.map(({ name, type }) => `${name} ${type}`).join(", ");
