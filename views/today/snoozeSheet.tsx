"use client";
// A signal that is to wait: until when, and why.
import { useState } from "react";
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { Attention } from "../../core/signals/kinds.ts";
import { Button } from "../../ui/button.tsx";
import { DateField } from "../../ui/dateField.tsx";
import { DATE_HINT, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, TextInput } from "../../ui/field.tsx";
import { newId } from "../../ui/newId.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { sentenceOf } from "./attentionWords.ts";
import { texts } from "./words.ts";

const USUAL_DAYS = 7;

export function SnoozeSheet({ signal, today, onClose }: { signal: Redacted<Attention>; today: number; onClose: () => void }) {
  const session = usePlan();
  const [until, setUntil] = useState(writeDate(formatDay(today + USUAL_DAYS)));
  const [reason, setReason] = useState("");
  const day = readDate(until);
  const fault = day === null ? DATE_HINT : parseDay(day) <= today ? "A day after today" : undefined;
  const snooze = async () => {
    if (day === null || fault !== undefined) return;
    const row = { id: newId("snooze"), signal: signal.key, until: day, reason: reason.trim() };
    if ((await session.edit({ kind: "snoozeSignal", snooze: row })).length === 0) onClose();
  };
  return (
    <Sheet title={texts.snooze} subtitle={sentenceOf(signal)} onClose={onClose}>
      <SheetSection>
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            void snooze();
          }}
        >
          <Field label={texts.until} fault={fault}>
            <DateField value={until} onChange={setUntil} autoFocus />
          </Field>
          <Field label={texts.reason}>
            <TextInput value={reason} onChange={(event) => setReason(event.target.value)} maxLength={500} />
          </Field>
          <p className="text-side">{texts.itReturnsOnThatDay}</p>
          <Button type="submit" look="main" disabled={reason.trim() === "" || fault !== undefined}>
            {texts.snooze}
          </Button>
        </form>
      </SheetSection>
    </Sheet>
  );
}
