"use client";
// Filling in the public holidays of a country and region for some years; days that are there already stay.
import { useEffect, useState } from "react";
import type { Calendar } from "../../../core/plan/schema.ts";
import { Button } from "../../../ui/button.tsx";
import { Field, Select, TextInput } from "../../../ui/field.tsx";
import { countText } from "../../../ui/format.ts";
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

export function HolidayForm({
  year,
  draft,
  onChange,
  onBack,
}: {
  year: number;
  draft: Draft;
  onChange: (set: Partial<Draft>) => void;
  onBack: () => void;
}) {
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
  return (
    <SheetSection title="Public holidays">
      <div className="space-y-3">
        <Field label="Country">
          <Select value={country} onChange={(event) => choose(event.target.value)} disabled={!countries}>
            <option value="">{countries ? "Choose" : "…"}</option>
            {countries?.map(({ code, name }) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </Select>
        </Field>
        {regions.length > 0 && (
          <Field label="Region" hint="Some regions have holidays of their own">
            <Select value={region} onChange={(event) => setRegion(event.target.value)}>
              <option value="">Whole country</option>
              {regions.map(({ code, name }) => (
                <option key={code} value={code}>
                  {name}
                </option>
              ))}
            </Select>
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
        {fault && (
          <p role="alert" className="text-over">
            {fault}
          </p>
        )}
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
