// The columns of the list of bookings.
import { type Redacted, withoutHidden } from "../../../client/seen.ts";
import type { BookingRow } from "../../../core/answers/bookings.ts";
import type { SingleEdit } from "../../../core/edits/edit.ts";
import { shownOr } from "../../../core/plan/moneySides.ts";
import type { ActualCost } from "../../../core/plan/schema.ts";
import { readAmount } from "../../../ui/amount.ts";
import { DATE_HINT, readDate, writeDate } from "../../../ui/dateText.ts";
import { moneyText } from "../../../ui/format.ts";
import { ProjectName } from "../../../ui/projectName.tsx";
import type { TableColumn } from "../../../ui/table/column.ts";
import { costTypeWords } from "../moneyWords.ts";
import { texts } from "./words.ts";

export type BookingSet = Extract<SingleEdit, { kind: "changeBooking" }>["set"];
type Row = Redacted<BookingRow>;
type Change = (id: string, set: BookingSet) => void;

/** No booking is larger, in either direction. */
export const MOST_BOOKED = 1e12;

export function bookingColumns(change: Change, currency: string): TableColumn<Row>[] {
  return [
    text("reference", texts.reference, change, true),
    text("supplier", texts.supplier, change, false),
    dateColumn(change),
    amountColumn(change, currency),
    {
      id: "expense",
      head: texts.plannedExpense,
      width: 168,
      grow: 1.2,
      value: ({ expenseName }) => expenseName,
      cell: ({ expenseName }) =>
        expenseName === null ? <span className="text-ochre-ink">{texts.notMatched}</span> : <span className="truncate">{expenseName}</span>,
    },
    projectColumn,
    {
      id: "type",
      head: texts.type,
      width: 104,
      yields: true,
      value: ({ booking }) => costTypeWords[booking.costType],
      cell: ({ booking }) => <span className="truncate">{costTypeWords[booking.costType]}</span>,
    },
  ];
}

function text(key: "reference" | "supplier", head: string, change: Change, isRowHead: boolean): TableColumn<Row> {
  return {
    id: key,
    head,
    width: isRowHead ? 92 : 120,
    grow: 1,
    ...(isRowHead && { isRowHead: true, isSticky: true }),
    value: ({ booking }) => booking[key] ?? null,
    cell: ({ booking }) => <span className={`truncate ${isRowHead ? "font-medium" : ""}`}>{booking[key] ?? "–"}</span>,
    edit: () => ({
      write: ({ booking }) => booking[key] ?? "",
      read: (typed) => (typed.length > 300 ? null : { value: typed.trim() }),
      says: key === "reference" ? texts.aReferenceOrNothing : texts.aName,
      onSave: ({ booking }, typed) => change(booking.id, { [key]: typed.trim() || null }),
    }),
  };
}

const dateColumn = (change: Change): TableColumn<Row> => ({
  id: "date",
  head: texts.bookedOn,
  width: 104,
  value: ({ booking }) => booking.date,
  copied: ({ booking }) => booking.date,
  cell: ({ booking }) => writeDate(booking.date),
  edit: () => ({
    write: ({ booking }) => writeDate(booking.date),
    read: (typed) => (readDate(typed) === null ? null : { value: typed }),
    says: DATE_HINT,
    onSave: ({ booking }, typed) => {
      const date = readDate(typed);
      if (date !== null) change(booking.id, { date });
    },
  }),
});

const amountColumn = (change: Change, currency: string): TableColumn<Row> => ({
  id: "amount",
  head: `Amount, ${currency}`,
  width: 112,
  isFigure: true,
  value: ({ booking }) => shownOr(booking.amount, null),
  look: ({ counts }) => !counts && "text-ink-3",
  cellTitle: ({ counts }) => (counts ? undefined : texts.notCounted),
  cell: ({ amount }) => moneyText(amount),
  edit: () => ({
    write: ({ booking }) => String(withoutHidden<ActualCost>(booking).amount),
    read: (typed) => readAmount(typed, -MOST_BOOKED, MOST_BOOKED),
    says: texts.aPositiveOrNegativeAmount,
    onSave: ({ booking }, typed) => {
      const read = readAmount(typed, -MOST_BOOKED, MOST_BOOKED);
      if (read) change(booking.id, { amount: read.value });
    },
  }),
});

const projectColumn: TableColumn<Row> = {
  id: "project",
  head: texts.project,
  width: 136,
  grow: 1,
  value: ({ projectName }) => projectName,
  cell: ({ projectName, projectRow }) => <ProjectName row={projectRow} name={projectName} />,
};
