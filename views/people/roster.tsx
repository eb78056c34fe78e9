"use client";
// The roster as a table, in its groups.
import { useMemo } from "react";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { rosterColumns } from "./rosterColumns.tsx";
import type { PeopleHook } from "./usePeople.ts";
import { texts } from "./words.ts";

export function Roster({ people: { groups, view, select, selected, ticked, tick } }: { people: PeopleHook }) {
  const { horizon } = usePlanFacts();
  const columns = useMemo(() => rosterColumns(view.columns, horizon.start), [view.columns, horizon.start]);
  return (
    <DataTable
      name="person"
      label={texts.roster}
      columns={columns}
      sections={groups}
      idOf={({ person }) => person.id}
      nameOf={({ person }) => person.name}
      rowHeight={42}
      selectedId={selected?.person.id ?? null}
      onOpen={({ person }) => select(person.id)}
      ticks={{ ticked, onTick: tick, what: "all people shown" }}
      empty={view.find === "" ? texts.noPeopleMatchTheseFilters : `No results for “${view.find}”.`}
    />
  );
}
