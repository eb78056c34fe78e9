"use client";
// One booking: when and what was booked, for which project, and the planned expense it pays for.
import { useState } from "react";
import { type Redacted, withoutHidden } from "../../../client/seen.ts";
import { useMaybeAnswer, usePlan } from "../../../client/session.tsx";
import type { BookingRow } from "../../../core/answers/bookings.ts";
import { formatDay } from "../../../core/calendar/day.ts";
import type { ActualCost } from "../../../core/plan/schema.ts";
import { withSet } from "../../../core/values/stated.ts";
import { readAmount } from "../../../ui/amount.ts";
import { Button } from "../../../ui/button.tsx";
import { Choice } from "../../../ui/choice.tsx";
import { DATE_HINT, readDate, writeDate } from "../../../ui/dateText.ts";
import { Field, FormFault } from "../../../ui/field.tsx";
import { newId } from "../../../ui/newId.ts";
import { namedOptions, wordOptions } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { keepTyped, typedIn } from "../../../ui/typed.ts";
import { ExpensePicker } from "../../planFields/expensePicker.tsx";
import { useNames, usePlanFacts } from "../../scope/facts.ts";
import { TaskField, TypedField } from "../moneyFields.tsx";
import { costTypeWords } from "../moneyWords.ts";
import { type BookingSet, MOST_BOOKED } from "./bookingColumns.tsx";
import { texts } from "./words.ts";

interface SheetProps {
  row: Redacted<BookingRow>;
  suppliers: readonly string[];
  onSet: (id: string, set: BookingSet) => void;
  onClose: () => void;
}

export function BookingSheet({ row: { booking, counts }, suppliers, onSet, onClose }: SheetProps) {
  const session = usePlan();
  const remove = async () => {
    onClose();
    await session.edit({ kind: "deleteBooking", id: booking.id });
  };
  return (
    <Sheet title={booking.reference ?? booking.supplier ?? writeDate(booking.date)} subtitle={texts.aBooking} onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <Parts booking={withoutHidden<ActualCost>(booking)} suppliers={suppliers} onSet={(set) => onSet(booking.id, set)} />
          {!counts && <p className="text-side">{texts.notCounted}</p>}
        </div>
      </SheetSection>
      <SheetSection>
        <Button look="danger" onClick={() => void remove()}>
          {texts.delete}
        </Button>
      </SheetSection>
    </Sheet>
  );
}

/** A booking that is not stored yet: its amount may be missing. */
type Draft = Omit<ActualCost, "id" | "amount"> & { amount?: number };

const NEW_BOOKING = "new booking";

interface NewProps {
  /** The first value of a new booking. */
  projectId: string;
  suppliers: readonly string[];
  /** @param id Of the booking that was added; null where none was. */
  onClose: (id: string | null) => void;
}

/** A new booking. It is stored when it is saved; what is typed until then is kept while the browser's tab is open. */
export function NewBookingSheet({ projectId, suppliers, onClose }: NewProps) {
  const session = usePlan();
  const { today } = usePlanFacts();
  const [draft, setDraft] = useState<Draft>(() => ({
    projectId,
    date: formatDay(today),
    costType: "other",
    ...typedIn(NEW_BOOKING),
  }));
  const [fault, setFault] = useState<string | null>(null);
  const set = (keys: BookingSet) => {
    const next = withSet(draft, keys);
    setDraft(next);
    keepTyped(NEW_BOOKING, next);
  };
  const save = async () => {
    const { amount } = draft;
    if (amount === undefined) return setFault(texts.enterAnAmount);
    const booking = { ...draft, amount, id: newId("booking") };
    const faults = await session.edit({ kind: "addBooking", booking });
    if (faults.length > 0) return setFault(faults[0].message);
    keepTyped(NEW_BOOKING, {});
    onClose(booking.id);
  };
  return (
    <Sheet title={texts.newBooking} subtitle={texts.notSavedYet} onClose={() => onClose(null)}>
      <SheetSection>
        <div className="space-y-3">
          <Parts booking={draft} suppliers={suppliers} onSet={set} />
          <FormFault>{fault}</FormFault>
          <Button look="main" onClick={() => void save()}>
            {texts.save}
          </Button>
        </div>
      </SheetSection>
    </Sheet>
  );
}

interface PartProps {
  booking: Draft;
  suppliers: readonly string[];
  onSet: (set: BookingSet) => void;
}

function Parts(props: PartProps) {
  const { booking, onSet } = props;
  return (
    <>
      <Invoice {...props} />
      <Belongs {...props} />
      <Field label={texts.type}>
        <Choice value={booking.costType} options={wordOptions(costTypeWords)} onChange={(costType) => onSet({ costType })} />
      </Field>
      <TypedField
        label={texts.note}
        value={booking.note ?? ""}
        read={(text) => (text.length > 20_000 ? null : { value: text.trim() })}
        says={texts.aNoteOrNothing}
        onSave={(note) => onSet({ note: note || null })}
      />
    </>
  );
}

const words = (text: string) => (text.length > 300 ? null : { value: text.trim() });

/** The fields of the invoice. */
function Invoice({ booking, suppliers, onSet }: PartProps) {
  const { currency } = usePlanFacts();
  const { amount } = booking;
  const isStillEmpty = (text: string) => amount === undefined && text.trim() === "";
  return (
    <>
      <TypedField
        label={texts.bookedOn}
        value={writeDate(booking.date)}
        read={(text) => (readDate(text) === null ? null : { value: text })}
        says={DATE_HINT}
        onSave={(text) => onSet({ date: readDate(text) ?? booking.date })}
      />
      <TypedField
        label={`Amount, ${currency}`}
        value={amount === undefined ? "" : String(amount)}
        read={(text) => (isStillEmpty(text) || readAmount(text, -MOST_BOOKED, MOST_BOOKED) ? { value: text } : null)}
        says={texts.aPositiveOrNegativeAmount}
        onSave={(text) => onSet({ amount: readAmount(text, -MOST_BOOKED, MOST_BOOKED)?.value })}
      />
      <TypedField
        label={texts.supplier}
        value={booking.supplier ?? ""}
        read={words}
        says={texts.aName}
        list={suppliers}
        onSave={(supplier) => onSet({ supplier: supplier || null })}
      />
      <TypedField
        label={texts.reference}
        value={booking.reference ?? ""}
        read={words}
        says={texts.aReferenceOrNothing}
        onSave={(reference) => onSet({ reference: reference || null })}
      />
    </>
  );
}

/** The project and the expense it belongs to; an expense brings its project and task along. */
function Belongs({ booking, onSet }: PartProps) {
  const { projects } = useNames();
  const expenses = useMaybeAnswer("expenses", { pipeline: "full" }, null)?.rows;
  const match = (expenseId: string) => {
    const projectId = expenses?.find(({ expense }) => expense.id === expenseId)?.expense.projectId;
    onSet(projectId === undefined ? { expenseId: null } : { expenseId, projectId, taskId: null });
  };
  return (
    <>
      <Field label={texts.plannedExpense}>
        <ExpensePicker label={texts.plannedExpense} value={booking.expenseId ?? ""} onChange={match} />
      </Field>
      <Field label={texts.project}>
        <Picker
          value={booking.projectId}
          options={namedOptions(projects)}
          onChange={(projectId) => onSet({ projectId, taskId: null, expenseId: null })}
        />
      </Field>
      {booking.expenseId === undefined && (
        <TaskField projectId={booking.projectId} taskId={booking.taskId} onChange={(taskId) => onSet({ taskId })} />
      )}
    </>
  );
}
