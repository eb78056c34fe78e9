"use client";
// The enquiries, those that wait first: what it is, who asks, when, how large, and what became of it.
import type { Redacted } from "../../client/seen.ts";
import type { EnquiryRow } from "../../core/answers/enquiries.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { minorOf, shownOr } from "../../core/plan/moneySides.ts";
import type { Enquiry } from "../../core/plan/schema.ts";
import { countText, hoursText, moneyText, shortDay } from "../../ui/format.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { TwoLines } from "../../ui/twoLines.tsx";
import { ageInDays } from "./age.ts";
import { texts } from "./words.ts";

export const stateWords: Record<Enquiry["state"], string> = {
  received: "waiting",
  accepted: "in the pipeline",
  approved: "approved",
  declined: "declined",
};

interface EnquiryTableProps {
  rows: readonly Redacted<EnquiryRow>[];
  today: number;
  currency: string;
  selectedId: string | null;
  onOpen: (id: string) => void;
}

export function EnquiryTable({ rows, today, currency, selectedId, onOpen }: EnquiryTableProps) {
  return (
    <DataTable
      name="enquiry"
      label={texts.enquiries}
      columns={columns(today, currency)}
      rows={rows}
      idOf={({ enquiry }) => enquiry.id}
      nameOf={({ enquiry }) => enquiry.name}
      rowHeight={44}
      selectedId={selectedId}
      onOpen={({ enquiry }) => onOpen(enquiry.id)}
      sortIn="here"
    />
  );
}

/** The requested columns. */
const wishColumns: readonly TableColumn<Redacted<EnquiryRow>>[] = [
  {
    id: "name",
    head: texts.title,
    width: 210,
    grow: 1.6,
    isRowHead: true,
    value: ({ enquiry }) => enquiry.name,
    cell: ({ enquiry: { name, contact } }) => <TwoLines main={name} isStrong side={contact.organisation ?? contact.name} />,
  },
  {
    id: "wished",
    head: texts.requested,
    width: 140,
    grow: 0.6,
    value: ({ enquiry }) => enquiry.wishedStart ?? null,
    copied: ({ enquiry }) => wishedText(enquiry),
    cell: ({ enquiry }) => <span className="truncate">{wishedText(enquiry) || "–"}</span>,
  },
  {
    id: "size",
    head: texts.size,
    width: 120,
    grow: 0.8,
    value: ({ hours, templateName }) => hours ?? templateName,
    cell: ({ hours, templateName }) => (
      <span className="truncate">{templateName ?? (hours === null ? texts.notStated : `${hoursText(hours * 60)} h`)}</span>
    ),
  },
];

const stateColumn: TableColumn<Redacted<EnquiryRow>> = {
  id: "state",
  head: texts.state,
  width: 140,
  grow: 0.8,
  value: ({ enquiry }) => stateWords[enquiry.state],
  look: ({ enquiry: { state } }) => looks[state],
  cell: ({ enquiry: { state } }) => <span className="truncate">{stateWords[state]}</span>,
};

const columns = (today: number, currency: string): TableColumn<Redacted<EnquiryRow>>[] => [
  ...wishColumns,
  {
    id: "value",
    head: `Value, ${currency}`,
    width: 100,
    isFigure: true,
    value: ({ enquiry }) => shownOr(enquiry.value ?? null, null),
    cell: ({ enquiry: { value } }) => (value === undefined ? "–" : moneyText(minorOf(value), 0)),
  },
  {
    id: "age",
    head: texts.received,
    width: 110,
    value: ({ receivedAt }) => receivedAt,
    cell: ({ receivedAt }) => <span className="truncate">{ageText(ageInDays(receivedAt, today))}</span>,
  },
  stateColumn,
];

const looks: Record<Enquiry["state"], string> = {
  received: "font-medium text-ochre-ink",
  accepted: "text-plum",
  approved: "text-level-ink",
  declined: "text-ink-2",
};

export function wishedText({ wishedStart, wishedFinish }: Pick<Enquiry, "wishedStart" | "wishedFinish">): string {
  const text = (date: string) => shortDay(parseDay(date));
  if (wishedStart && wishedFinish) return `${text(wishedStart)} – ${text(wishedFinish)}`;
  if (wishedStart) return `from ${text(wishedStart)}`;
  return wishedFinish ? `by ${text(wishedFinish)}` : "";
}

export const ageText = (days: number): string => (days <= 0 ? "today" : `${countText(days, "day")} ago`);
