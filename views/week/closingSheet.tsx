"use client";
// Closing months: their hours can no longer change, until the last of them is opened again.
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { ClosingMonth } from "../../core/answers/closing.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { Button } from "../../ui/button.tsx";
import { FormFault } from "../../ui/field.tsx";
import { countText, longDay, monthOfYearText } from "../../ui/format.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { texts } from "./words.ts";

export function ClosingSheet({ onClose }: { onClose: () => void }) {
  const session = usePlan();
  const closing = useMaybeAnswer("closing", {}, null);
  const [fault, setFault] = useState<string | null>(null);
  if (!closing) return null;
  const { closedUntil, months } = closing;
  const closeUntil = async (closed: string | null) =>
    setFault((await session.edit({ kind: "changeSettings", set: { closedUntil: closed } }))[0]?.message ?? null);
  const isClosed = ({ last }: ClosingMonth) => closedUntil !== null && last <= closedUntil;
  const lastClosed = months.find(isClosed);
  return (
    <Sheet
      title={texts.closedMonths}
      subtitle={closedUntil === null ? texts.noMonthIsClosed : `Closed up to ${longDay(closedUntil)}`}
      onClose={onClose}
    >
      <SheetSection>
        <p className="text-side">{texts.closedHoursStay}</p>
        <FormFault>{fault}</FormFault>
      </SheetSection>
      <SheetSection>
        <ul aria-label={texts.months}>
          {months.map((month) => (
            <li key={month.start} className="flex items-center gap-3 line-above py-1.5 first:border-t-0">
              <span className="min-w-0 flex-1">
                {monthOfYearText(month.start)}
                {!isClosed(month) && month.waiting > 0 && (
                  <span className="block text-ochre-ink text-small">{countText(month.waiting, "entry", "entries")} not approved</span>
                )}
              </span>
              {isClosed(month) ? (
                <>
                  <span className="text-side">{texts.closed}</span>
                  {month === lastClosed && <Button onClick={() => void closeUntil(openedUntil(months, month))}>{texts.openAgain}</Button>}
                </>
              ) : (
                <Button onClick={() => void closeUntil(formatDay(month.last))} aria-label={`Close ${monthOfYearText(month.start)}`}>
                  {texts.close}
                </Button>
              )}
            </li>
          ))}
        </ul>
      </SheetSection>
    </Sheet>
  );
}

/** The last closed day once a month is open again. The earliest that is listed opens all before it. */
function openedUntil(months: readonly ClosingMonth[], opened: ClosingMonth): string | null {
  const before = months[months.indexOf(opened) + 1];
  return before ? formatDay(before.last) : null;
}
