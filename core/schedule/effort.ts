// The duration of effort-sized work: its minutes consumed day by day from an instant on.
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
 * @param lastDay It has to finish by then: by default 3,660 calendar days after the start.
 * @returns Null when it has not. */
export function consumeEffort(
  line: WorkingLine,
  start: Instant,
  minutes: number,
  fullOn: (day: Day) => number,
  lastDay: Day = line.asStart(start).day + LONGEST_EFFORT_DAYS,
): Consumed | null {
  const consumed: Consumed = { finish: start, days: [], minutes: [] };
  const finish = finishOf(line, start, minutes, fullOn, lastDay, (day, used) => {
    consumed.days.push(day);
    consumed.minutes.push(used);
  });
  if (finish === null) return null;
  consumed.finish = finish;
  return consumed;
}

/** The end of minutes of work that are consumed from an instant on; null if that is after the last day.
 * @param take Hears of the days on which some are, and how many. */
function finishOf(
  line: WorkingLine,
  start: Instant,
  minutes: number,
  fullOn: (day: Day) => number,
  lastDay: Day,
  take?: (day: Day, used: number) => void,
): Instant | null {
  if (minutes === 0) return start;
  let remaining = minutes;
  let entered = line.asStart(start).tick;
  for (let index = Math.floor(start / TICKS_PER_DAY); ; index++, entered = 0) {
    const day = line.dayAt(index);
    if (day > lastDay) return null;
    const full = fullOn(day);
    const usable = Math.floor((full * (TICKS_PER_DAY - entered)) / TICKS_PER_DAY);
    const used = Math.min(usable, remaining);
    if (used > 0) take?.(day, used);
    if (remaining <= usable)
      return index * TICKS_PER_DAY + Math.min(TICKS_PER_DAY, entered + Math.ceil((remaining * TICKS_PER_DAY) / full));
    remaining -= used;
  }
}

/** Work that decides how long a task takes: the minutes asked for, and what its subject can give on a whole day. */
export interface EffortPart {
  minutes: number;
  fullOn: (day: Day) => number;
  /** The last day on which the subject can give anything, where there is one: nothing is looked for after it. */
  until?: Day;
}

/** The least instant from `earliest` on from which some part finishes at or after `leastFinish`. A part that starts later
 * never finishes earlier, but may not finish in time at all: then it does not count for the finish, and where none
 * counts the task finishes as it starts. */
export function leastStart(line: WorkingLine, earliest: Instant, leastFinish: Instant, parts: readonly EffortPart[]): Instant {
  if (earliest >= leastFinish) return earliest;
  return Math.min(leastFinish, ...parts.map((part) => leastStartOf(line, earliest, leastFinish, part)));
}

function leastStartOf(
  line: WorkingLine,
  earliest: Instant,
  leastFinish: Instant,
  { minutes, fullOn, until = Number.POSITIVE_INFINITY }: EffortPart,
): Instant {
  // No start that is looked at is later than the bound, so what has not finished by then never counts.
  const lastDay = Math.min(until, line.asStart(leastFinish).day + LONGEST_EFFORT_DAYS);
  const finishFrom = (start: Instant) => finishOf(line, start, minutes, fullOn, lastDay) ?? Number.POSITIVE_INFINITY;
  let [below, start] = [earliest - 1, leastFinish];
  while (start - below > 1) {
    const middle = Math.floor((below + start) / 2);
    if (finishFrom(middle) >= leastFinish) start = middle;
    else below = middle;
  }
  // From there on it must also finish in time: each finish reports the first day from which that could be so.
  while (start < leastFinish) {
    const finish = finishFrom(start);
    if (finish === Number.POSITIVE_INFINITY) return leastFinish;
    const inTime = line.place(line.asFinish(finish).day - LONGEST_EFFORT_DAYS, 0);
    if (inTime <= start) return start;
    start = inTime;
  }
  return leastFinish;
}
