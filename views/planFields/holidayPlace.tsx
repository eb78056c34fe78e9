"use client";
// The choice of public holidays: a country, and a region if some have additional holidays.
import { useEffect, useState } from "react";
import type { Calendar } from "../../core/plan/schema.ts";
import { Field } from "../../ui/field.tsx";
import { none } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { texts } from "./words.ts";

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

/** The countries there are, the regions of the chosen one, and its holidays. */
export function useHolidayPlace() {
  const [countries, setCountries] = useState<Place[] | null>(null);
  const [regions, setRegions] = useState<Place[]>([]);
  const [country, setCountry] = useState("");
  const [region, setRegion] = useState("");
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
  /** The public holidays of some years, the last one included. @throws {Error} with a sentence. */
  const holidaysOf = async (years: { from: string; to: string }): Promise<Calendar["exceptions"]> =>
    (await ask<{ holidays: Calendar["exceptions"] }>({ country, region, ...years })).holidays;
  const name = countries?.find(({ code }) => code === country)?.name ?? "";
  return { countries, regions, country, name, choose, region, setRegion, fault, setFault, holidaysOf };
}

/** @param noneText What it means to choose no country. */
export function HolidayPlace({ place, noneText }: { place: ReturnType<typeof useHolidayPlace>; noneText: string }) {
  const { countries, regions, country, choose, region, setRegion } = place;
  const options = (places: readonly Place[]) => places.map(({ code, name }) => ({ value: code, text: name }));
  return (
    <>
      <Field label={texts.country}>
        <Picker
          value={country}
          onChange={choose}
          disabled={!countries}
          options={[none(countries ? noneText : "…"), ...options(countries ?? [])]}
        />
      </Field>
      {regions.length > 0 && (
        <Field label={texts.region} hint={texts.someRegionsHaveAdditionalHolidays}>
          <Picker value={region} onChange={setRegion} options={[none("Whole country"), ...options(regions)]} />
        </Field>
      )}
    </>
  );
}
