// Days, weeks, months, quarters and years, cut to a range.
import { type Day, dateOf, dayOfDate, weekdayOf } from "./day.ts";

export const grains = ["day", "week", "month", "quarter", "year"] as const;
export type Grain = (typeof grains)[number];

/** A run of days; `stop` is the day after the last. */
export interface Range {
  start: Day;
  stop: Day;
}

/** The range of a report or a screen: some days, and their periods. */
export interface ReportRange {
  range: Range;
  grain: Grain;
}

/** The start of weeks and years. */
export interface PeriodSettings {
  /** 1 Monday … 7 Sunday. */
  weekStartsOn: number;
  /** 1 January … 12 December. */
  fiscalYearStartMonth: number;
}

/** The periods that a range falls into, in order, the first and last cut to the range. */
export function periodsIn(range: Range, grain: Grain, settings: PeriodSettings): Range[] {
  const periods: Range[] = [];
  for (let start = range.start; start < range.stop; ) {
    const stop = Math.min(range.stop, nextPeriodStart(start, grain, settings));
    periods.push({ start, stop });
    start = stop;
  }
  return periods;
}

/** The first day of the period that comes after the one holding `day`. */
export function nextPeriodStart(day: Day, grain: Grain, settings: PeriodSettings): Day {
  switch (grain) {
    case "day":
      return day + 1;
    case "week":
      return periodStart(day, grain, settings) + 7;
    default: {
      const { year, month } = dateOf(periodStart(day, grain, settings));
      return dayOfDate(year, month + monthsOf[grain], 1);
    }
  }
}

/** The first day of the whole period that holds `day`. */
export function periodStart(day: Day, grain: Grain, settings: PeriodSettings): Day {
  if (grain === "day") return day;
  if (grain === "week") return day - ((weekdayOf(day) - (settings.weekStartsOn - 1) + 7) % 7);
  const { year, month } = dateOf(day);
  const sinceFiscalStart = (month - settings.fiscalYearStartMonth + 12) % monthsOf[grain];
  return dayOfDate(year, month - sinceFiscalStart, 1);
}

/** True of a period that is only part of a whole one: a window has cut it. */
export function isCut({ start, stop }: Range, grain: Grain, settings: PeriodSettings): boolean {
  return periodStart(start, grain, settings) !== start || nextPeriodStart(start, grain, settings) !== stop;
}

const monthsOf = { month: 1, quarter: 3, year: 12 } as const;

/** periodOf[day - range.start] → which of `periods` the day falls into. */
export function periodOfDays(range: Range, periods: readonly Range[]): Int32Array {
  const periodOf = new Int32Array(Math.max(0, range.stop - range.start));
  periods.forEach((period, at) => {
    periodOf.fill(at, period.start - range.start, period.stop - range.start);
  });
  return periodOf;
}
