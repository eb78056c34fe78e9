// A person's working minutes on each day: week pattern, calendar exceptions, time off, employment, overtime.

import type { Person } from "../plan/schema.ts";
import { onceFor } from "../values/once.ts";
import { workMinutes } from "../values/units.ts";
import { type Day, parseDay, weekdayOf } from "./day.ts";
import type { WorkingLine } from "./workingLine.ts";

/** The time off that is assumed to be granted. */
export type Leave = "approved" | "approvedAndRequested";

/** Writes a person's capacity for each day of a range; employment, patterns, exceptions and leave are applied.
 * @param regular, overtime Minutes by day; index `at + (day - start)`. Both are overwritten over the range.
 * @param planStart Employment begins here where the person states no date. */
export function fillCapacity(
  person: Person,
  line: WorkingLine,
  planStart: Day,
  start: Day,
  stop: Day,
  regular: Int32Array,
  overtime: Int32Array,
  at = 0,
  leave: Leave = "approved",
): void {
  const from = Math.max(start, person.employedFrom === undefined ? planStart : parseDay(person.employedFrom));
  const until = Math.min(stop, person.employedTo === undefined ? stop : parseDay(person.employedTo) + 1);
  regular.fill(0, at, at + stop - start);
  overtime.fill(0, at, at + stop - start);
  if (from >= until) return;
  const base = at - start;
  const whole = line.minutesOver(from, until);
  regular.set(whole.minutes.subarray(whole.at, whole.at + until - from), base + from);
  for (const pattern of weekPatterns(person)) applyPattern(pattern, line, from, until, regular, base);
  for (const entry of person.overtime ?? []) {
    const minutes = workMinutes(entry.hoursPerDay);
    const last = Math.min(until - 1, parseDay(entry.to));
    for (let day = Math.max(from, parseDay(entry.from)); day <= last; day++) overtime[base + day] += minutes;
  }
  for (const off of person.timeOff ?? []) {
    if (off.state === "declined" || (off.state === "requested" && leave === "approved")) continue;
    const last = Math.min(until - 1, parseDay(off.to));
    const minutes = off.hoursPerDay === undefined ? null : workMinutes(off.hoursPerDay);
    for (let day = Math.max(from, parseDay(off.from)); day <= last; day++) {
      regular[base + day] = minutes === null ? 0 : Math.max(0, regular[base + day] - minutes);
      if (minutes === null) overtime[base + day] = 0;
    }
  }
}

function applyPattern(pattern: WeekPattern, line: WorkingLine, from: Day, until: Day, regular: Int32Array, base: number): void {
  const last = Math.min(until - 1, pattern.to);
  for (let day = Math.max(from, pattern.from); day <= last; day++) {
    const exception = line.exceptionOn(day);
    const minutes = pattern.week[weekdayOf(day)];
    regular[base + day] = exception >= 0 ? Math.min(minutes, exception) : minutes;
  }
}

/** A weekly pattern in days and minutes; `to` is the last day, infinite where it has no end. */
export interface WeekPattern {
  from: Day;
  to: Day;
  week: number[];
}

/** A person's weekly patterns in list order; where several cover a day the last one counts. */
export const weekPatterns = onceFor(({ patterns = [] }: Person): WeekPattern[] =>
  patterns.map(({ from, to, week }) => ({
    from: parseDay(from),
    to: to === undefined ? Number.POSITIVE_INFINITY : parseDay(to),
    week: week.map(workMinutes),
  })),
);

/** The pattern in force on a day, if any. */
export function patternOn(person: Person, day: Day): WeekPattern | undefined {
  return weekPatterns(person).findLast(({ from, to }) => from <= day && to >= day);
}

/** Writes a person's plain week for each day of a range; index 0 is `start`. */
export function fillPlainWeek(person: Person, line: WorkingLine, start: Day, stop: Day, out: Int32Array): void {
  const fill = (week: readonly number[], from: Day, until: Day) => {
    for (let day = from, weekday = weekdayOf(from); day < until; day++) {
      out[day - start] = week[weekday];
      weekday = weekday === 6 ? 0 : weekday + 1;
    }
  };
  fill(line.weekMinutes, start, stop);
  for (const { from, to, week } of weekPatterns(person)) fill(week, Math.max(start, from), Math.min(stop, to + 1));
}

/** Minutes of a person's plain week on a day: the pattern in force, else the calendar; exceptions, time off, overtime
 * and employment are left out. */
export function weekMinutesOf(person: Person, line: WorkingLine, day: Day): number {
  return patternOn(person, day)?.week[weekdayOf(day)] ?? line.weekMinutesOn(day);
}
