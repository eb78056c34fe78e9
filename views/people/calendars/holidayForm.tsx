"use client";
// Filling in the public holidays of a country and region for some years; days that are there already stay.
import { useEffect, useState } from "react";
import type { Calendar } from "../../../core/plan/schema.ts";
import { Button } from "../../../ui/button.tsx";
import { Field, FormFault, TextInput } from "../../../ui/field.tsx";
import { countText } from "../../../ui/format.ts";
import { none } from "../../../ui/options.ts";
import { Picker } from "../../../ui/picker.tsx";
import { SheetSection } from "../../../ui/sheet.tsx";
import type { Draft } from "./useCalendars.ts";

interface Place {
  code: string;
  name: string;
}

async function ask<T>(query: Record<string, string>): Promise<T> {
  const response = await fetch(`/api/holidays?${new URLSearchParams(query)}`);
  const answer = await response.json();
  if (!response.ok) throw new Error(answer.message ?? "The holidays could not be read.");
  return answer;
}

interface HolidayProps {
  year: number;
  draft: Draft;
  onChange: (set: Partial<Draft>) => void;
}

/** Countries and regions as they are asked for, and the holidays put into the calendar. */
function useHolidays({ year, draft, onChange }: HolidayProps) {
  const [countries, setCountries] = useState<Place[] | null>(null);
  const [regions, setRegions] = useState<Place[]>([]);
  const [country, setCountry] = useState("");
  const [region, setRegion] = useState("");
  const [years, setYears] = useState({ from: String(year), to: String(year + 1) });
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    ask<{ countries: Place[] }>({})
      .then((answer) => setCountries(answer.countries))
      .catch(() => setFault("The list of countries could not be read. Is the server running?"));
  }, []);
  const choose = (code: string) => {
    setCountry(code);
    setRegion("");
    setRegions([]);
    if (code)
      ask<{ regions: Place[] }>({ country: code })
        .then((answer) => setRegions(answer.regions))
        .catch((error: Error) => setFault(error.message));
  };
  const fill = async () => {
    setFault(null);
    try {
      const { holidays } = await ask<{ holidays: Calendar["exceptions"] }>({ country, region, ...years });
      const known = new Set(draft.exceptions.map(({ from, name }) => `${from} ${name}`));
      const added = holidays.filter(({ from, name }) => !known.has(`${from} ${name}`));
      if (added.length === 0) setFault(`All ${countText(holidays.length, "holiday")} of these years stand in the calendar already.`);
      // Put first, so that short and extra days stated by hand still win.
      else onChange({ exceptions: [...added, ...draft.exceptions] });
    } catch (error) {
      setFault((error as Error).message);
    }
  };
  return { countries, regions, country, choose, region, setRegion, years, setYears, fault, fill };
}

export function HolidayForm({ onBack, ...props }: HolidayProps & { onBack: () => void }) {
  const { countries, regions, country, choose, region, setRegion, years, setYears, fault, fill } = useHolidays(props);
  return (
    <SheetSection title="Public holidays">
      <div className="space-y-3">
        <Field label="Country">
          <Picker
            value={country}
            onChange={(value) => choose(value)}
            disabled={!countries}
            options={[none(countries ? "Choose" : "…"), ...(countries ?? []).map(({ code, name }) => ({ value: code, text: name }))]}
          />
        </Field>
        {regions.length > 0 && (
          <Field label="Region" hint="Some regions have holidays of their own">
            <Picker
              value={region}
              onChange={(value) => setRegion(value)}
              options={[none("Whole country"), ...regions.map(({ code, name }) => ({ value: code, text: name }))]}
            />
          </Field>
        )}
        <div className="grid grid-cols-2 gap-3">
          <Field label="First year">
            <TextInput inputMode="numeric" value={years.from} onChange={(event) => setYears({ ...years, from: event.target.value })} />
          </Field>
          <Field label="Last year">
            <TextInput inputMode="numeric" value={years.to} onChange={(event) => setYears({ ...years, to: event.target.value })} />
          </Field>
        </div>
        <FormFault>{fault}</FormFault>
        <div className="flex gap-2">
          <Button disabled={country === ""} onClick={() => void fill()}>
            Fill in, and see what this does
          </Button>
          <Button onClick={onBack}>Back</Button>
        </div>
      </div>
    </SheetSection>
  );
}
