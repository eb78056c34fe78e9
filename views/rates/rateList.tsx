"use client";
// The rates of a table, typed in place.
import { useMemo } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import { rateInCurrency } from "../../core/cost/exchangeOn.ts";
import type { Plan, RateTable } from "../../core/plan/schema.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { LastChange } from "./moneyChanges.tsx";
import { rateColumns } from "./rateColumns.tsx";
import { type RateRow, rateGrid } from "./rateGrid.ts";
import { RateTools } from "./rateTools.tsx";
import type { RatesHook } from "./useRates.ts";
import { texts } from "./words.ts";

const NO_RATES: Plan["exchangeRates"] = [];

export function RateList({ rates, beside }: { rates: RatesHook; beside: RateTable | undefined }) {
  const { table, grid, figure, today, type, blocks } = rates;
  const names = useNames();
  const { currency: own } = usePlanFacts();
  const exchangeRates = useMaybeAnswer("exchangeRates", {}, null) ?? NO_RATES;
  const used = useMaybeAnswer("rateUses", { tableId: table.id }, null);
  const uses = useMemo(() => new Map((used ?? []).map((use) => [use.subject, use])), [used]);
  const compared = useMemo(() => {
    if (!beside) return null;
    const rows = rateGrid(beside.entries, names, { subjects: [], dates: [] }).sections.flatMap((section) => section.rows);
    const [from, to] = [beside.currency ?? own, table.currency ?? own];
    return {
      exchanged: (amount: number, date: string) => rateInCurrency(amount, from, to, date, { own, exchangeRates }),
      dates: beside.entries.map(({ from = "" }) => from),
      rowOf: ({ id }: RateRow) => rows.find((row) => row.id === id),
    };
  }, [beside, names, table.currency, own, exchangeRates]);
  const columns = useMemo(() => {
    const onType = (row: RateRow, date: string, amount: number | null) => type([{ row, date, figure, amount }]);
    // Days on which only the other one changes have a column too.
    const dates = compared ? [...new Set([...grid.dates, ...compared.dates])].sort() : grid.dates;
    return rateColumns(dates, { figure, today, onType, uses, beside: compared });
  }, [grid.dates, figure, today, type, uses, compared]);
  return (
    <>
      <DataTable
        name="rate"
        label={`Rates of ${table.name}`}
        columns={columns}
        sections={grid.sections}
        idOf={({ id }) => id}
        nameOf={({ name }) => name}
        rowHeight={40}
        headHeight={44}
        blocks={blocks}
        sortIn="here"
        empty={texts.noRatesYetAdd}
      />
      <LastChange typed={rates.typed} />
      <RateTools rates={rates} />
    </>
  );
}
