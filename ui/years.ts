// Calendar years, as they are now in a URL.
import { dayOfDate } from "../core/calendar/day.ts";
import type { Range } from "../core/calendar/periods.ts";

/** The calendar year as a range. */
export const yearRange = (year: number): Range => ({ start: dayOfDate(year, 1, 1), stop: dayOfDate(year + 1, 1, 1) });

/** The year that a text names; null where it names none that a plan could know. */
export function yearOf(text: string | null): number | null {
  const year = Number(text);
  return text !== null && Number.isInteger(year) && year >= 1900 && year < 2200 ? year : null;
}
