"use client";
// The candidates in their order: those who fit, then those who miss something.
import { useMemo } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { Candidates } from "../../core/answers/openings.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { candidateColumns } from "./candidateColumns.tsx";
import type { OpeningsHook } from "./useOpenings.ts";
import { texts } from "./words.ts";

export function CandidateTable({ candidates, hook: { view, compare, setView } }: { candidates: Redacted<Candidates>; hook: OpeningsHook }) {
  const { fitting, near } = candidates;
  const columns = useMemo(() => candidateColumns(candidates, (id) => setView({ sheet: `give:${id}` })), [candidates, setView]);
  const sections = useMemo(
    () => [
      { id: "fitting", title: null, rows: fitting },
      ...(near.length > 0 ? [{ id: "near", title: texts.missingARoleOrSkill, rows: near }] : []),
    ],
    [fitting, near],
  );
  return (
    <DataTable
      name="candidate"
      label={`Redacted<Candidates> for ${candidates.opening.taskName}`}
      columns={columns}
      sections={sections}
      idOf={({ personId }) => personId}
      nameOf={({ name }) => name}
      rowHeight={46}
      sortIn="here"
      isFramed={false}
      ticks={{
        ticked: new Set(view.beside),
        onTick: (ids) => ids.forEach(compare),
        what: null,
        says: (name) => `Compare ${name}`,
      }}
    />
  );
}
