"use client";
// The snoozed signals: until when, why, and the way back.
import type { Redacted } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { Today } from "../../core/answers/today.ts";
import { Button } from "../../ui/button.tsx";
import { writeDate } from "../../ui/dateText.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { sentenceOf } from "./attentionWords.ts";
import { texts } from "./words.ts";

export function SnoozedSheet({ snoozed, onClose }: { snoozed: Redacted<Today>["snoozed"]; onClose: () => void }) {
  const session = usePlan();
  return (
    <Sheet title={texts.snoozed} subtitle="Signals that return later" onClose={onClose}>
      {snoozed.map(({ signal, snooze }) => (
        <SheetSection key={snooze.id}>
          <p>{sentenceOf(signal)}</p>
          <p className="py-1 text-side">
            {snooze.reason} Until {writeDate(snooze.until)}.
          </p>
          <Button onClick={() => void session.edit({ kind: "wakeSignal", id: snooze.id })}>{texts.showItAgain}</Button>
        </SheetSection>
      ))}
      {snoozed.length === 0 && <p className="py-3 text-ink-2">{texts.nothingIsSnoozed}</p>}
    </Sheet>
  );
}
