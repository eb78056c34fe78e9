// The months that can be closed: their hours are settled, and change no more.
import { type Day, parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart } from "../calendar/periods.ts";
import type { Model } from "../model.ts";

export interface ClosingMonth {
  start: Day;
  /** Its last day. */
  last: Day;
  /** Entries that nobody has approved yet, up to its last day. */
  waiting: number;
}

export interface Closing {
  /** The last day whose hours are closed; null for none. */
  closedUntil: Day | null;
  /** Months that are over on the status date, the latest first. */
  months: ClosingMonth[];
}

/** Months that are offered. */
const MOST_MONTHS = 12;

/** The closed months of a plan, and those that can be closed. */
export function closingOf({ plan, progress: { status } }: Model): Closing {
  const settings = periodSettingsOf(plan);
  const open = plan.timeEntries.filter(({ state }) => state !== "approved").map(({ date }) => parseDay(date));
  const months: ClosingMonth[] = [];
  for (let stop = periodStart(status, "month", settings); months.length < MOST_MONTHS; ) {
    const start = periodStart(stop - 1, "month", settings);
    const last = stop - 1;
    months.push({ start, last, waiting: open.filter((day) => day <= last).length });
    stop = start;
  }
  const { closedUntil } = plan.settings;
  return { closedUntil: closedUntil === undefined ? null : parseDay(closedUntil), months };
}
