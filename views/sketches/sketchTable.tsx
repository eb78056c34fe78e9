"use client";
// The sketches there are, with a tick for those that are next to the plan.
import type { SketchRow } from "../../core/answers/sketches.ts";
import { Checkbox } from "../../ui/checkbox.tsx";
import { countText, dateTimeText } from "../../ui/format.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { texts } from "./words.ts";

interface SketchTableProps {
  rows: readonly SketchRow[];
  /** Ids of those next to the plan. */
  beside: readonly string[];
  selectedId: string | null;
  onOpen: (id: string) => void;
  onBeside: (id: string) => void;
}

export function SketchTable({ rows, beside, selectedId, onOpen, onBeside }: SketchTableProps) {
  return (
    <DataTable
      name="sketch"
      label={texts.sketches}
      columns={columns(beside, onBeside)}
      rows={rows}
      idOf={({ id }) => id}
      nameOf={({ name }) => name}
      rowHeight={40}
      selectedId={selectedId}
      onOpen={({ id }) => onOpen(id)}
      sortIn="here"
      isShort
    />
  );
}

function columns(beside: readonly string[], onBeside: (id: string) => void): TableColumn<SketchRow>[] {
  return [
    {
      id: "name",
      head: texts.sketch,
      width: 210,
      grow: 1.6,
      isRowHead: true,
      value: ({ name }) => name,
      cell: ({ name }) => <span className="truncate font-medium">{name}</span>,
    },
    {
      id: "changes",
      head: texts.changes,
      width: 180,
      grow: 0.8,
      value: ({ changes }) => changes,
      cell: ({ changes, lost, editConflicts }) => (
        <span className="truncate">
          {countText(changes, "change")}
          {lost > 0 && <span className="text-over">, {lost} no longer possible</span>}
          {editConflicts > 0 && <span className="text-ochre-ink">, {editConflicts} changed in the plan since</span>}
        </span>
      ),
    },
    { id: "by", head: texts.by, width: 120, grow: 0.6, value: ({ by }) => by, cell: ({ by }) => <span className="truncate">{by}</span> },
    {
      id: "at",
      head: texts.created,
      width: 150,
      value: ({ at }) => at,
      cell: ({ at }) => (
        <time dateTime={at} suppressHydrationWarning className="truncate">
          {dateTimeText(at)}
        </time>
      ),
    },
    {
      id: "beside",
      head: texts.compare,
      width: 90,
      value: ({ id }) => (beside.includes(id) ? 1 : 0),
      cell: ({ id, name }) => <Checkbox label={`Compare ${name}`} checked={beside.includes(id)} onChange={() => onBeside(id)} />,
    },
  ];
}
