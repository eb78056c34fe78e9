// The printed form of a report's periods.
import { formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";

/** Periods with their first and last day as dates. */
export function printedPeriods(periods: readonly Range[]): { start: string; end: string }[] {
  return periods.map(({ start, stop }) => ({ start: formatDay(start), end: formatDay(stop - 1) }));
}
