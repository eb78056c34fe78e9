// The working-time line of a calendar: its working days numbered in date order, 480 ticks to each.
import type { Calendar } from "../plan/schema.ts";
import { workMinutes } from "../values/units.ts";
import { type Day, parseDay, weekdayOf } from "./day.ts";

export const TICKS_PER_DAY = 480;

/** An instant of a working-time line: `index × 480 + tick`. */
export type Instant = number;

/** Ticks of an instant within its day, read as a start: 0 … 479, before the origin of the line too. */
export const startTickOf = (at: Instant): number => at - Math.floor(at / TICKS_PER_DAY) * TICKS_PER_DAY;

/** Ticks of an instant within its day, read as a finish: 1 … 480. */
export const finishTickOf = (at: Instant): number => startTickOf(at) || TICKS_PER_DAY;

/** Days that are laid out at first on either side of the origin. */
const FIRST_DAYS = { before: 200, after: 800 };

/** A calendar laid out by day; it has no beginning and no end, and grows to where days are asked for. */
export class WorkingLine {
  /** Working days in the plain week, exceptions left out. */
  readonly plainWorkingDays: number;
  /** Minutes of the plain week, Monday first. */
  readonly weekMinutes: readonly number[];
  readonly #exceptions: { from: Day; to: Day; minutes: number }[];
  /** Index 0 of the arrays by day is this one. */
  #first: Day;
  /** minutes[day - first]: working minutes of the day, exceptions applied. */
  #minutes = new Int32Array(0);
  /** exception[day - first]: minutes of the exception that covers the day, or −1. */
  #exception = new Int32Array(0);
  /** number[day - first]: the working day's own number, or that of the next one. */
  #number = new Int32Array(0);
  /** days[number + earlier]: the day that has this number. */
  #days = new Int32Array(0);
  /** Working days laid out before the origin. */
  #earlier = 0;

  /** @param origin Number 0 goes to the first working day from here; days before it have negative numbers. */
  constructor(
    calendar: Calendar,
    readonly origin: Day,
  ) {
    this.#first = origin;
    this.weekMinutes = calendar.week.map(workMinutes);
    this.plainWorkingDays = this.weekMinutes.filter((minutes) => minutes > 0).length;
    this.#exceptions = calendar.exceptions.map(({ from, to, hours }) => ({
      from: parseDay(from),
      to: parseDay(to),
      minutes: workMinutes(hours),
    }));
  }

  /** Working minutes of a day, exceptions applied. */
  minutesOn(day: Day): number {
    this.#reach(day, day);
    return this.#minutes[day - this.#first];
  }

  /** Working minutes of the days of a range, for loops: index `at + (day - start)`. Shared: read, never write. */
  minutesOver(start: Day, stop: Day): { minutes: Int32Array; at: number } {
    this.#reach(start, Math.max(start, stop - 1));
    return { minutes: this.#minutes, at: start - this.#first };
  }

  /** Minutes the plain week gives to a day, no matter what exceptions say. */
  weekMinutesOn(day: Day): number {
    return this.weekMinutes[weekdayOf(day)];
  }

  /** Minutes of the exception that covers a day, the later one in the list where several do; −1 where none does. */
  exceptionOn(day: Day): number {
    this.#reach(day, day);
    return this.#exception[day - this.#first];
  }

  isWorkingDay(day: Day): boolean {
    return this.minutesOn(day) > 0;
  }

  /** The number of a working day, or of the next working day; negative before the origin. */
  indexOf(day: Day): number {
    this.#reach(day, day);
    return this.#number[day - this.#first];
  }

  /** The day with a number. */
  dayAt(index: number): Day {
    while (index + this.#earlier < 0) this.#reach(this.#first - 366, this.#first);
    while (index + this.#earlier >= this.#days.length) this.#reach(this.#first, this.#first + this.#minutes.length + 366);
    return this.#days[index + this.#earlier];
  }

  /** Puts a date and tick of any calendar on this line. */
  place(day: Day, tick: number): Instant {
    return this.isWorkingDay(day) ? this.indexOf(day) * TICKS_PER_DAY + tick : this.indexOf(day) * TICKS_PER_DAY;
  }

  /** An instant read as a start: the later date where a day ends and the next begins. */
  asStart(at: Instant): { day: Day; tick: number } {
    const index = Math.floor(at / TICKS_PER_DAY);
    return { day: this.dayAt(index), tick: at - index * TICKS_PER_DAY };
  }

  /** An instant read as a finish: the earlier date where a day ends and the next begins. */
  asFinish(at: Instant): { day: Day; tick: number } {
    const index = Math.ceil(at / TICKS_PER_DAY) - 1;
    return { day: this.dayAt(index), tick: at - index * TICKS_PER_DAY };
  }

  #reach(from: Day, to: Day): void {
    const length = this.#minutes.length;
    if (from >= this.#first && to < this.#first + length) return;
    // The first layout covers the origin, because days are numbered from it. Each side then grows by as much as there is, so
    // that days asked for one by one are laid out in few steps.
    const isFirst = length === 0;
    const first = from < this.#first || isFirst ? Math.min(from, this.#first - Math.max(length, FIRST_DAYS.before)) : this.#first;
    const end = this.#first + length;
    const stop = to >= end || isFirst ? Math.max(to + 1, end + Math.max(length, FIRST_DAYS.after)) : end;
    this.#layOut(first, stop);
  }

  #layOut(first: Day, stop: Day): void {
    const length = stop - first;
    const minutes = new Int32Array(length);
    const exception = new Int32Array(length).fill(-1);
    for (const { from, to, minutes: own } of this.#exceptions)
      exception.fill(own, clamp(from - first, length), clamp(to + 1 - first, length));
    const days = new Int32Array(length);
    const number = new Int32Array(length);
    let [count, earlier] = [0, 0];
    for (let at = 0, weekday = weekdayOf(first); at < length; at++, weekday = weekday === 6 ? 0 : weekday + 1) {
      if (first + at === this.origin) earlier = count;
      minutes[at] = exception[at] >= 0 ? exception[at] : this.weekMinutes[weekday];
      number[at] = count;
      if (minutes[at] > 0) days[count++] = first + at;
    }
    for (let at = 0; at < length; at++) number[at] -= earlier;
    this.#first = first;
    this.#minutes = minutes;
    this.#exception = exception;
    this.#number = number;
    this.#days = days.subarray(0, count);
    this.#earlier = earlier;
  }
}

function clamp(at: number, length: number): number {
  return Math.max(0, Math.min(length, at));
}
