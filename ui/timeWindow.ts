// The window of time that every screen follows: what a URL says of it.
import { type Day, parseDay } from "../core/calendar/day.ts";
import { type Grain, grains, type PeriodSettings, periodStart, type Range } from "../core/calendar/periods.ts";
import { isCalendarDate } from "../core/values/calendarDate.ts";
import { isOneOf } from "../core/values/oneOf.ts";

export interface TimeWindow {
  range: Range;
  grain: Grain;
}

const WEEKS_SHOWN = 8;

/** The window that is shown where the URL states none: the week before today's and the seven after. */
function defaultWindow(today: Day, horizon: Range, settings: PeriodSettings): TimeWindow {
  const first = periodStart(today, "week", settings);
  const start = Math.max(horizon.start, Math.min(first - 7, horizon.stop - WEEKS_SHOWN * 7));
  return { range: { start, stop: Math.min(horizon.stop, start + WEEKS_SHOWN * 7) }, grain: "week" };
}

/** A range of the same length from a day on, kept inside the horizon. */
export function rangeFrom(day: Day, { start, stop }: Range, horizon: Range): Range {
  const first = Math.max(horizon.start, Math.min(horizon.stop - (stop - start), day));
  return { start: first, stop: first + (stop - start) };
}

/** The window that a URL states, cut to the horizon; the default where it states none that makes sense. */
export function windowFrom(
  from: string | null | undefined,
  to: string | null | undefined,
  by: string | null | undefined,
  today: Day,
  horizon: Range,
  settings: PeriodSettings,
): TimeWindow {
  const fallback = defaultWindow(today, horizon, settings);
  const grain = isOneOf(grains, by) ? by : fallback.grain;
  if (!from || !to || !isCalendarDate(from) || !isCalendarDate(to)) return { ...fallback, grain };
  const start = Math.max(horizon.start, parseDay(from));
  const stop = Math.min(horizon.stop, parseDay(to) + 1);
  return stop > start ? { range: { start, stop }, grain } : { ...fallback, grain };
}
