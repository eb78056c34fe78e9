"use client";
// The rates of a table, typed in place.
import { useMemo } from "react";
import { DataTable } from "../../ui/dataTable.tsx";
import { rateColumns } from "./rateColumns.tsx";
import { RateTools } from "./rateTools.tsx";
import type { RatesHook } from "./useRates.ts";

export function RateList({ rates }: { rates: RatesHook }) {
  const { table, grid, figure, today, type, blocks } = rates;
  const columns = useMemo(
    () => rateColumns(grid.dates, { figure, today, onType: (row, date, amount) => type([{ row, date, figure, amount }]) }),
    [grid.dates, figure, today, type],
  );
  return (
    <>
      <DataTable
        name="rate"
        label={`Rates of ${table.name}`}
        columns={columns}
        sections={grid.sections}
        idOf={({ id }) => id}
        nameOf={({ name }) => name}
        headHeight={44}
        blocks={blocks}
        sortIn="here"
        empty="No rates yet. Add a role below, then type what its hour comes to."
      />
      <RateTools rates={rates} />
    </>
  );
}
