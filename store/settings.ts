// The plan's settings and exchange rates: one row, and a short list without ids.
import type { Plan, Settings } from "../core/plan/schema.ts";
import { withSet } from "../core/plan/stated.ts";
import type { Sql } from "./driver.ts";

/** Reads the settings; null in a database that holds no plan yet. */
export async function readSettings(sql: Sql): Promise<Settings | null> {
  const [row] = await sql.query<{ settings: string }>(`
    select json_build_object(
      'name', name, 'currency', currency, 'weekStartsOn', week_starts_on, 'planStart', plan_start, 'planEnd', plan_end,
      'today', today, 'fiscalYearStartMonth', fiscal_year_start_month, 'hoursPerFteWeek', hours_per_fte_week,
      'levelBand', level_band, 'marginTarget', margin_target, 'taxInCost', tax_in_cost, 'attention', attention, 'enquiryForm', enquiry_form)::text as settings
    from settings`);
  if (!row) return null;
  const columns: Settings = JSON.parse(row.settings);
  // A column without a value is a key that is not stated.
  return withSet(columns, {});
}

/** Reads the exchange rates in list order. */
export async function readExchangeRates(sql: Sql): Promise<Plan["exchangeRates"]> {
  const [{ rates }] = await sql.query<{ rates: string | null }>(
    "select json_agg(json_build_object('currency', currency, 'from', starts, 'rate', rate) order by position)::text as rates from exchange_rates",
  );
  return JSON.parse(rates ?? "[]");
}

/** Overwrites the settings. */
export async function writeSettings(sql: Sql, settings: Settings): Promise<void> {
  await sql.query("delete from settings");
  await sql.query(
    `insert into settings (name, currency, week_starts_on, plan_start, plan_end, today, fiscal_year_start_month,
       hours_per_fte_week, level_band, margin_target, tax_in_cost, attention, enquiry_form)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9::jsonb, $10, $11, $12::jsonb, $13)`,
    [
      settings.name,
      settings.currency,
      settings.weekStartsOn ?? null,
      settings.planStart,
      settings.planEnd,
      settings.today ?? null,
      settings.fiscalYearStartMonth ?? null,
      settings.hoursPerFteWeek ?? null,
      settings.levelBand ? JSON.stringify(settings.levelBand) : null,
      settings.marginTarget ?? null,
      settings.taxInCost ?? null,
      settings.attention ? JSON.stringify(settings.attention) : null,
      settings.enquiryForm ?? null,
    ],
  );
}

/** Overwrites the exchange rates. */
export async function writeExchangeRates(sql: Sql, exchangeRates: Plan["exchangeRates"]): Promise<void> {
  await sql.query("delete from exchange_rates");
  await sql.query(
    `insert into exchange_rates (position, currency, starts, rate)
     select position, currency, "from", rate from json_to_recordset($1::json) as r(position integer, currency text, "from" date, rate numeric)`,
    [JSON.stringify(exchangeRates.map((rate, position) => ({ position, ...rate })))],
  );
}
