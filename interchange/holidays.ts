// Public holidays of countries and regions, from the holiday library, as exceptions of a calendar.
import Holidays from "date-holidays";
import type { Calendar } from "../core/plan/schema.ts";

export interface Place {
  code: string;
  name: string;
}

/** The countries that the library knows, by name. */
export function countries(): Place[] {
  return placesOf(new Holidays().getCountries("en"));
}

/** The regions of a country that have holidays of their own; empty where there are none. */
export function regionsOf(country: string): Place[] {
  return placesOf(new Holidays().getStates(country, "en"));
}

function placesOf(names: Record<string, string> | undefined | null): Place[] {
  return Object.entries(names ?? {})
    .map(([code, name]) => ({ code, name }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** Public holidays of some years as days without work, in order of their dates, each date once.
 * @param lastYear Included. */
export function publicHolidays(country: string, region: string | null, firstYear: number, lastYear: number): Calendar["exceptions"] {
  const options = { languages: ["en"], types: ["public" as const] };
  const holidays = region === null ? new Holidays(country, options) : new Holidays(country, region, options);
  const days = new Map<string, string>();
  for (let year = firstYear; year <= lastYear; year++) {
    for (const { date, start, end, name } of holidays.getHolidays(year)) {
      // A holiday of several days gives its dates as instants; their number is that of whole days.
      const count = Math.max(1, Math.round((end.getTime() - start.getTime()) / 86_400_000));
      for (let at = 0; at < count; at++) {
        const day = new Date(Date.parse(`${date.slice(0, 10)}T00:00:00Z`) + at * 86_400_000).toISOString().slice(0, 10);
        if (!days.has(day)) days.set(day, name);
      }
    }
  }
  return [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([day, name]) => ({ from: day, to: day, hours: 0, name }));
}
