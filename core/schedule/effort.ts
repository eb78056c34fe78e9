// How long effort-sized work takes: its minutes consumed day by day from an instant on.
import type { Day } from "../calendar/day.ts";
import { type Instant, TICKS_PER_DAY, type WorkingLine } from "../calendar/workingLine.ts";

/** After this many calendar days, work that has not finished never will. */
export const LONGEST_EFFORT_DAYS = 3660;

/** Work consumed from a start: `minutes[i]` on `days[i]`, ending at `finish` on the task's line. */
export interface Consumed {
  finish: Instant;
  days: Day[];
  minutes: number[];
}

/** Consumes minutes of work from an instant of a task's line on.
 * @param fullOn Minutes the subject can give on a whole day.
 * @returns Null when it has not finished 3,660 calendar days after the start. */
export function consumeEffort(line: WorkingLine, start: Instant, minutes: number, fullOn: (day: Day) => number): Consumed | null {
  const first = line.asStart(start);
  const consumed: Consumed = { finish: start, days: [], minutes: [] };
  if (minutes === 0) return consumed;
  let remaining = minutes;
  let entered = first.tick;
  for (let index = Math.floor(start / TICKS_PER_DAY); ; index++, entered = 0) {
    const day = line.dayAt(index);
    if (day - first.day > LONGEST_EFFORT_DAYS) return null;
    const full = fullOn(day);
    const usable = Math.floor((full * (TICKS_PER_DAY - entered)) / TICKS_PER_DAY);
    const used = Math.min(usable, remaining);
    if (used > 0) {
      consumed.days.push(day);
      consumed.minutes.push(used);
    }
    if (remaining <= usable) {
      const tick = Math.min(TICKS_PER_DAY, entered + Math.ceil((remaining * TICKS_PER_DAY) / full));
      return { ...consumed, finish: index * TICKS_PER_DAY + tick };
    }
    remaining -= used;
  }
}
