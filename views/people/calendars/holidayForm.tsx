"use client";
// Filling in the public holidays of a country and region for some years; days that are there already stay, or give way.
import { useState } from "react";
import { messageOf } from "../../../core/values/errors.ts";
import { Button } from "../../../ui/button.tsx";
import { CheckboxField } from "../../../ui/checkbox.tsx";
import { Field, FormFault, TextInput } from "../../../ui/field.tsx";
import { countText } from "../../../ui/format.ts";
import { SheetSection } from "../../../ui/sheet.tsx";
import { HolidayPlace, useHolidayPlace } from "../../planFields/holidayPlace.tsx";
import { texts } from "../words.ts";
import type { Draft } from "./useCalendars.ts";

interface HolidayProps {
  year: number;
  draft: Draft;
  onChange: (set: Partial<Draft>) => void;
  onBack: () => void;
}

interface Years {
  from: string;
  to: string;
}

/** The exceptions of the week, without the days off of some years. */
function withoutDaysOff(exceptions: Draft["exceptions"], years: Years): Draft["exceptions"] {
  const isOfYears = (day: string) => day.slice(0, 4) >= years.from && day.slice(0, 4) <= years.to;
  return exceptions.filter(({ from, hours }) => hours > 0 || !isOfYears(from));
}

/** The first and the last year, as they are typed. */
function YearFields({ years, onChange }: { years: Years; onChange: (years: Years) => void }) {
  return (
    <div className="field-pair">
      <Field label={texts.firstYear}>
        <TextInput inputMode="numeric" value={years.from} onChange={(event) => onChange({ ...years, from: event.target.value })} />
      </Field>
      <Field label={texts.lastYear}>
        <TextInput inputMode="numeric" value={years.to} onChange={(event) => onChange({ ...years, to: event.target.value })} />
      </Field>
    </div>
  );
}

export function HolidayForm({ year, draft, onChange, onBack }: HolidayProps) {
  const place = useHolidayPlace();
  const { country, fault, setFault, holidaysOf } = place;
  const [years, setYears] = useState({ from: String(year), to: String(year + 1) });
  const [isReplacing, setReplacing] = useState(false);
  const fill = async () => {
    setFault(null);
    try {
      const holidays = await holidaysOf(years);
      const staying = isReplacing ? withoutDaysOff(draft.exceptions, years) : draft.exceptions;
      const known = new Set(staying.map(({ from, name }) => `${from} ${name}`));
      const added = holidays.filter(({ from, name }) => !known.has(`${from} ${name}`));
      if (added.length === 0) setFault(`All ${countText(holidays.length, "holiday")} of these years are already in the calendar.`);
      // Put first, so that short and extra days stated by hand still win.
      else onChange({ exceptions: [...added, ...staying] });
    } catch (error) {
      setFault(messageOf(error));
    }
  };
  return (
    <SheetSection title={texts.publicHolidays}>
      <div className="space-y-3">
        <HolidayPlace place={place} noneText="Choose" />
        <YearFields years={years} onChange={setYears} />
        <CheckboxField checked={isReplacing} onChange={setReplacing}>
          {texts.replaceAllDaysOff}
        </CheckboxField>
        <FormFault>{fault}</FormFault>
        <div className="flex gap-2">
          <Button disabled={country === ""} onClick={() => void fill()}>
            {texts.fillInAndPreview}
          </Button>
          <Button onClick={onBack}>{texts.back}</Button>
        </div>
      </div>
    </SheetSection>
  );
}
