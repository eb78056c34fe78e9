"use client";
// The entries of a rate table, typed in place.
import { useMemo } from "react";
import { usePlan } from "../../client/session.tsx";
import type { RateEntry, RateTable } from "../../core/plan/schema.ts";
import { DataTable } from "../../ui/dataTable.tsx";
import { rangeText } from "../../ui/format.ts";
import { useNames } from "../frame/facts.ts";
import { usePlanWindow } from "../frame/windowed.ts";
import { AddRate } from "./addRate.tsx";
import { type RateCells, rateColumns } from "./rateColumns.tsx";
import { groupRates } from "./rateGroups.ts";

export function RateList({ table }: { table: RateTable }) {
  const session = usePlan();
  const names = useNames();
  const { range } = usePlanWindow();
  const groups = useMemo(() => groupRates(table.entries, names, range), [table, names, range]);
  const columns = useMemo(() => {
    const change = ({ personId, roleId, materialId, from }: RateEntry, set: RateCells | null) =>
      void session.edit({ kind: "changeRates", tableId: table.id, cells: [{ of: { personId, roleId, materialId, from }, set }] });
    return rateColumns({ windowText: rangeText(range), onChange: change, onRemove: (entry) => change(entry, null) });
  }, [session, table.id, range]);
  return (
    <>
      <DataTable
        name="rate"
        label={`Rates of ${table.name}`}
        columns={columns}
        sections={groups}
        idOf={({ at }) => String(at)}
        nameOf={({ name }) => name}
        isShort
      />
      <AddRate table={table} onAdd={(entry) => session.edit({ kind: "changeRates", tableId: table.id, added: [entry] })} />
    </>
  );
}
