// The range and grain a report is asked for, and how its periods are printed.
import { formatDay } from "../calendar/day.ts";
import type { Grain, Range } from "../calendar/periods.ts";

export interface ReportRange {
  range: Range;
  grain: Grain;
}

/** Periods with their first and last day as dates. */
export function printedPeriods(periods: readonly Range[]): { start: string; end: string }[] {
  return periods.map(({ start, stop }) => ({ start: formatDay(start), end: formatDay(stop - 1) }));
}
