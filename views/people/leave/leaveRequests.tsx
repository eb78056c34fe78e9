"use client";
// Requests for leave that wait for an answer.
import { useMemo } from "react";
import type { LeaveRequest } from "../../../core/answers/leave.ts";
import { parseDay } from "../../../core/calendar/day.ts";
import { rangeText } from "../../../ui/format.ts";
import type { TableColumn } from "../../../ui/table/column.ts";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { timeOffKinds } from "../dayWords.ts";
import { texts } from "../words.ts";

export const requestKey = ({ personId, timeOff }: LeaveRequest): string => `${personId}:${timeOff.id}`;

interface LeaveRequestsProps {
  requests: readonly LeaveRequest[];
  openKey: string | null;
  onOpen: (key: string) => void;
}

export function LeaveRequests({ requests, openKey, onOpen }: LeaveRequestsProps) {
  const rows = useMemo(() => [...requests], [requests]);
  if (rows.length === 0) return <p className="text-ink-2">{texts.noRequestsAreWaiting}</p>;
  return (
    <DataTable
      name="leave"
      label={texts.requestsWaitingForAnAnswer}
      columns={columns}
      rows={rows}
      idOf={requestKey}
      nameOf={({ name }) => name}
      selectedId={openKey}
      onOpen={(request) => onOpen(requestKey(request))}
      sortIn="here"
      isShort
    />
  );
}

const datesText = ({ timeOff }: LeaveRequest) => rangeText({ start: parseDay(timeOff.from), stop: parseDay(timeOff.to) + 1 });

const columns: TableColumn<LeaveRequest>[] = [
  {
    id: "name",
    head: texts.waitingForAnAnswer,
    width: 190,
    isRowHead: true,
    value: ({ name }) => name,
    cell: ({ name }) => <span className="truncate font-semibold">{name}</span>,
  },
  {
    id: "kind",
    head: texts.kind,
    width: 110,
    value: ({ timeOff }) => timeOffKinds[timeOff.kind],
    cell: ({ timeOff }) => timeOffKinds[timeOff.kind],
  },
  {
    id: "dates",
    head: texts.dates,
    width: 170,
    value: ({ timeOff }) => timeOff.from,
    copied: datesText,
    look: () => "text-ink-2",
    cell: datesText,
  },
  {
    id: "note",
    head: texts.note,
    width: 160,
    grow: 1,
    value: ({ timeOff }) => timeOff.note ?? null,
    cell: ({ timeOff, alsoAway }) => (
      <span className="truncate text-ink-2">
        {timeOff.note}
        {timeOff.suggested && <span className="text-ochre-ink">{texts.otherDatesSuggested}</span>}
        {alsoAway.length > 0 && <span className="text-ochre-ink"> · with {alsoAway.join(", ")}</span>}
      </span>
    ),
  },
];
