"use client";
// A correction of a closed day: hours recorded today, with a note of the day that they correct.
import { useState } from "react";
import { usePlan } from "../../client/session.tsx";
import type { Week } from "../../core/answers/week.ts";
import { type Day, formatDay } from "../../core/calendar/day.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button } from "../../ui/button.tsx";
import { Field, FormFault, TextInput } from "../../ui/field.tsx";
import { hoursText, longDay } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { texts } from "./words.ts";

interface Props {
  week: Week;
  /** Closed days of the week. */
  days: readonly Day[];
  onClose: () => void;
}

export function CorrectionSheet({ week, days, onClose }: Props) {
  const session = usePlan();
  const [day, setDay] = useState(String(days[0]));
  const [key, setKey] = useState(week.rows[0]?.key ?? "");
  const [hours, setHours] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const row = week.rows.find((own) => own.key === key);
  const save = async () => {
    const more = readAmount(hours, 0.01, 24)?.value;
    if (more === undefined || !row) return setFault(texts.enterTheHours);
    const now = await session.ask("week", { personId: week.personId, day: week.today, added: [] });
    const at = now ? now.days.indexOf(now.today) : -1;
    const known = now?.rows.find((own) => own.key === key)?.entries[at] ?? [];
    const note = [...known.flatMap((own) => own.note ?? []), `Corrects ${longDay(Number(day))}: ${more} h.`].join(" ");
    const cell = {
      newId: newId("hours"),
      date: formatDay(week.today),
      hours: known.reduce((sum, own) => sum + own.hours, 0) + more,
      note,
      ...(row.taskId === undefined ? { activity: row.activity } : { taskId: row.taskId }),
    };
    const faults = await session.edit({ kind: "recordHours", personId: week.personId, cells: [cell] });
    if (faults.length > 0) return setFault(faults[0].message);
    onClose();
  };
  return (
    <Sheet title={texts.correction} subtitle={`${week.name}, recorded on ${longDay(week.today)}`} onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <p className="text-side">{texts.correctionsAreRecordedToday}</p>
          <Field label={texts.correctedDay}>
            <Picker value={day} options={days.map((own) => ({ value: String(own), text: longDay(own) }))} onChange={setDay} />
          </Field>
          <Field label={texts.work}>
            <Picker value={key} options={week.rows.map((own) => ({ value: own.key, text: rowText(own, Number(day)) }))} onChange={setKey} />
          </Field>
          <Field label={texts.hoursMissing}>
            <TextInput value={hours} inputMode="decimal" onChange={(event) => setHours(event.target.value)} />
          </Field>
          <FormFault>{fault}</FormFault>
          <Button look="main" onClick={() => void save()}>
            {texts.recordTheCorrection}
          </Button>
        </div>
      </SheetSection>
    </Sheet>
  );
}

/** The work with the hours that the day has. */
function rowText({ name, entries }: Week["rows"][number], day: Day): string {
  const date = formatDay(day);
  const hours = entries.flat().reduce((sum, own) => (own.date === date ? sum + own.hours : sum), 0);
  return hours > 0 ? `${name} (${hoursText(hours * 60)} h)` : name;
}
