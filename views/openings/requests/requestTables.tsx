"use client";
// The requests with their answers, and the firmness of the hours of each project.
import type { RequestRow, Requests } from "../../../core/answers/requests.ts";
import { countText, hoursOf, hoursText, shortDay } from "../../../ui/format.ts";
import { ProjectDot } from "../../../ui/projectDot.tsx";
import { ProjectName } from "../../../ui/projectName.tsx";
import type { TableColumn } from "../../../ui/table/column.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { TwoLines } from "../../../ui/twoLines.tsx";
import { texts } from "../words.ts";

export const stateWords: Record<RequestRow["request"]["state"], string> = {
  asked: "waiting for an answer",
  offered: "person offered",
  confirmed: "confirmed",
  declined: "declined",
};

interface RequestTableProps {
  rows: readonly RequestRow[];
  selectedId: string | null;
  onOpen: (id: string) => void;
}

export function RequestTable({ rows, selectedId, onOpen }: RequestTableProps) {
  return (
    <DataTable
      name="request"
      label={texts.requests}
      columns={requestColumns}
      rows={rows}
      idOf={({ request }) => request.id}
      nameOf={({ taskName }) => taskName}
      rowHeight={44}
      selectedId={selectedId}
      onOpen={({ request }) => onOpen(request.id)}
      isShort
    />
  );
}

const stateText = ({ request, offered }: RequestRow) => (offered ? `${offered} is offered` : stateWords[request.state]);

const datesText = ({ dates }: RequestRow) => (dates ? `${shortDay(dates.start)} – ${shortDay(dates.finish)}` : "");

const requestColumns: TableColumn<RequestRow>[] = [
  {
    id: "for",
    head: texts.forText,
    width: 180,
    grow: 1.4,
    isRowHead: true,
    value: ({ taskName }) => taskName,
    cell: ({ taskName, projectName, projectRow }) => (
      <TwoLines
        main={taskName}
        isStrong
        side={
          <span className="flex items-center gap-1.5">
            <ProjectDot row={projectRow} isSmall />
            <span className="truncate">{projectName}</span>
          </span>
        }
      />
    ),
  },
  {
    id: "wanted",
    head: texts.requested,
    width: 120,
    grow: 1,
    value: ({ wanted }) => wanted,
    cell: ({ wanted }) => <span className="truncate">{wanted}</span>,
  },
  {
    id: "hours",
    head: texts.hours,
    width: 70,
    isFigure: true,
    value: ({ request }) => request.hours,
    cell: ({ request }) => hoursText(request.hours * 60),
  },
  {
    id: "dates",
    head: texts.dates,
    width: 132,
    value: ({ dates }) => dates?.start ?? null,
    copied: datesText,
    cell: (row) => <span className="truncate text-[13px]">{datesText(row) || "–"}</span>,
  },
  {
    id: "state",
    head: texts.state,
    width: 150,
    grow: 1,
    value: stateText,
    look: ({ request, isWaiting }) => (isWaiting ? "text-ochre-ink" : request.state === "declined" ? "text-ink-2" : "text-level-ink"),
    cell: (row) => (
      <span className="truncate">
        <span className={row.isWaiting ? "font-medium" : ""}>{stateText(row)}</span>
        {row.request.history.length > 1 && <span className="text-side"> · {countText(row.request.history.length, "step")}</span>}
      </span>
    ),
  },
];

type Sureness = Requests["projects"][number];

/** Hours of each project that are confirmed, pencilled, asked for and open. */
export function SurenessTable({ rows }: { rows: readonly Sureness[] }) {
  return (
    <DataTable
      name="sureness"
      label={texts.firmnessOfTheHours}
      columns={surenessColumns}
      rows={rows}
      idOf={({ projectId }) => projectId}
      nameOf={({ name }) => name}
      sortIn="here"
      isShort
    />
  );
}

const hours = (id: keyof Sureness & ("confirmed" | "pencilled" | "asked" | "open"), head: string, tone: string): TableColumn<Sureness> => ({
  id,
  head,
  width: 110,
  isFigure: true,
  value: (row) => hoursOf(row[id]),
  look: (row) => (row[id] > 0 ? tone : "text-ink-2"),
  cell: (row) => `${hoursText(row[id])} h`,
});

const surenessColumns: TableColumn<Sureness>[] = [
  {
    id: "project",
    head: texts.firmnessOfTheHours,
    width: 220,
    grow: 1,
    isRowHead: true,
    value: ({ name }) => name,
    cell: ({ name, projectRow }) => <ProjectName row={projectRow} name={name} />,
  },
  hours("confirmed", "Confirmed", ""),
  hours("pencilled", "Pencilled", "text-ochre-ink"),
  hours("asked", "Requested", "text-ochre-ink"),
  hours("open", "Unassigned", "text-over"),
];
