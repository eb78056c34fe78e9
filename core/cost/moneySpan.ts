// The days on which a plan has work or money at all.
import { parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import type { Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { NO_DATES } from "../schedule/dates.ts";

/** The days from the first to the last on which anything is planned, worked or booked; the horizon and the status date are
 * among them. */
export function moneySpan({ plan, schedule, placements, progress }: Placed): Range {
  const horizon = horizonOf(plan);
  let [first, last] = [Math.min(horizon.start, progress.status), Math.max(horizon.stop, progress.status + 1)];
  const take = (start: number, stop: number) => {
    first = Math.min(first, start);
    last = Math.max(last, stop);
  };
  const { state, startDay, finishDay } = schedule.columns;
  for (let row = 0; row < state.length; row++) if (state[row] !== NO_DATES) take(startDay[row], finishDay[row] + 1);
  const { start, length } = placements;
  for (let row = 0; row < start.length; row++) if (length[row] > 0) take(start[row], start[row] + length[row]);
  for (const { date, from, to } of plan.expenses)
    for (const day of [date, from, to]) if (day !== undefined) take(parseDay(day), parseDay(day) + 1);
  for (const { date } of plan.actualCosts) take(parseDay(date), parseDay(date) + 1);
  return { start: first, stop: last };
}
