"use client";
// Bookings: the amounts that accounting has booked, each with the planned expense it pays for; those without one wait.
import { Plus } from "lucide-react";
import { parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import { useCallback, useMemo } from "react";
import type { Initial } from "../../../client/initial.ts";
import type { AnswerOf } from "../../../client/questions.ts";
import { useAnswer, usePlan } from "../../../client/session.tsx";
import { sumOfFigures } from "../../../core/plan/moneySides.ts";
import { Button } from "../../../ui/button.tsx";
import { moneyText } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { Segmented } from "../../../ui/segmented.tsx";
import { DataTable } from "../../../ui/table/dataTable.tsx";
import { Empty, Figure } from "../../frame/screen.tsx";
import { useNames } from "../../scope/facts.ts";
import { useLinkTo } from "../../scope/windowed.ts";
import { MoneyScreen } from "../moneyScreen.tsx";
import { type BookingSet, bookingColumns } from "./bookingColumns.tsx";
import { BookingSheet, NewBookingSheet } from "./bookingSheet.tsx";
import { texts } from "./words.ts";

const NEW = "new";
const params = { booking: parseAsString, show: parseAsStringLiteral(["all", "unmatched"]).withDefault("all") };

function useBookings(initial: Initial<AnswerOf<"bookings">>) {
  const session = usePlan();
  const answer = useAnswer("bookings", {}, initial);
  const { projects } = useNames();
  const [view, setView] = useQueryStates(params, { shallow: true });
  const change = useCallback((id: string, set: BookingSet) => void session.edit({ kind: "changeBooking", id, set }), [session]);
  const unmatched = answer.rows.filter(({ booking }) => booking.expenseId === undefined);
  return {
    ...answer,
    projects,
    view,
    setView,
    change,
    unmatched: unmatched.length,
    shown: view.show === "unmatched" ? unmatched : answer.rows,
    open: answer.rows.find(({ booking }) => booking.id === view.booking),
  };
}

type Hook = ReturnType<typeof useBookings>;

export function Bookings({ initial }: { initial: Initial<AnswerOf<"bookings">> }) {
  const hook = useBookings(initial);
  const { rows, currency, change, shown, open, setView } = hook;
  const columns = useMemo(() => bookingColumns(change, currency), [change, currency]);
  return (
    <MoneyScreen
      figures={<Figure value={`${currency} ${moneyText(sumOfFigures(rows.map(({ amount }) => amount)))}`} says={texts.booked} />}
      actions={<Tools hook={hook} />}
      sheet={<OpenedBooking hook={hook} />}
    >
      {rows.length === 0 ? (
        <Empty title={texts.noBookingsYet}>{texts.bookingsAreAmounts}</Empty>
      ) : (
        <DataTable
          name="booking"
          label={`Bookings in ${currency}`}
          columns={columns}
          rows={shown}
          idOf={({ booking }) => booking.id}
          nameOf={({ booking }) => booking.reference ?? booking.supplier ?? booking.date}
          selectedId={open?.booking.id ?? null}
          onOpen={({ booking }) => void setView({ booking: booking.id })}
          empty={texts.everyBookingIsMatched}
        />
      )}
    </MoneyScreen>
  );
}

function Tools({ hook: { view, setView, unmatched, projects } }: { hook: Hook }) {
  const linkTo = useLinkTo();
  return (
    <>
      <Segmented
        label={texts.bookingsShown}
        value={view.show}
        options={[
          { value: "all", text: texts.all },
          { value: "unmatched", text: `${texts.notMatched} ${unmatched}` },
        ]}
        onChange={(show) => void setView({ show })}
      />
      <Link className="text-link" href={linkTo("/people/import", {})}>
        {texts.import}
      </Link>
      <Button look="main" disabled={projects.length === 0} onClick={() => void setView({ booking: NEW })}>
        <Plus size={14} /> {texts.addBooking}
      </Button>
    </>
  );
}

function OpenedBooking({ hook: { view, setView, open, suppliers, projects, change } }: { hook: Hook }) {
  if (view.booking === NEW && projects.length > 0)
    return <NewBookingSheet projectId={projects[0].id} suppliers={suppliers} onClose={(booking) => void setView({ booking })} />;
  if (!open) return null;
  const close = () => void setView({ booking: null });
  return <BookingSheet key={open.booking.id} row={open} suppliers={suppliers} onSet={change} onClose={close} />;
}
