"use client";
// The note of recorded hours: for the person who approves them, and for later.
import { useState } from "react";
import { usePlan } from "../../client/session.tsx";
import type { Week, WeekRow } from "../../core/answers/week.ts";
import { Button } from "../../ui/button.tsx";
import { Field, FormFault, TextArea } from "../../ui/field.tsx";
import { longDay } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { cellOf, isFixedCell } from "./useWeek.ts";
import { texts } from "./words.ts";

interface Props {
  week: Week;
  row: WeekRow;
  /** Position of the day. */
  at: number;
  onClose: () => void;
}

export function NoteSheet({ week, row, at, onClose }: Props) {
  const session = usePlan();
  const entries = row.entries[at];
  const [note, setNote] = useState(entries.flatMap((own) => own.note ?? []).join(" "));
  const [fault, setFault] = useState<string | null>(null);
  const hours = entries.reduce((sum, own) => sum + own.hours, 0);
  const save = async () => {
    const cell = { ...cellOf(row, week.days[at], hours), newId: newId("hours"), note: note.trim() || null };
    const faults = await session.edit({ kind: "recordHours", personId: week.personId, cells: [cell] });
    if (faults.length > 0) setFault(faults[0].message);
    else onClose();
  };
  return (
    <Sheet title={row.name} subtitle={`${longDay(week.days[at])}, ${hours} h`} onClose={onClose}>
      <SheetSection>
        {isFixedCell(week, row, at) ? (
          <p className="whitespace-pre-wrap">{note || texts.noNote}</p>
        ) : (
          <div className="space-y-3">
            <Field label={texts.note} hint={texts.theNoteIsShown}>
              <TextArea value={note} rows={4} onChange={(event) => setNote(event.target.value)} />
            </Field>
            <FormFault>{fault}</FormFault>
            <Button look="main" onClick={() => void save()}>
              {texts.saveTheNote}
            </Button>
          </div>
        )}
      </SheetSection>
    </Sheet>
  );
}
