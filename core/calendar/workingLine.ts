// The working-time line of a calendar: its working days numbered in date order, 480 ticks to each.
import type { Calendar } from "../plan/schema.ts";
import { workMinutes } from "../plan/units.ts";
import { type Day, parseDay, weekdayOf } from "./day.ts";

export const TICKS_PER_DAY = 480;

/** An instant of a working-time line: `index × 480 + tick`. */
export type Instant = number;

/** A calendar laid out by day, growing to the right as later days are asked for. */
export class WorkingLine {
  /** Working days in the plain week, exceptions left out. */
  readonly plainWorkingDays: number;
  /** Minutes of the plain week, Monday first. */
  readonly weekMinutes: readonly number[];
  readonly #exceptions: { from: Day; to: Day; minutes: number }[];
  /** minutes[day - origin]: working minutes of the day, exceptions applied. */
  #minutes = new Int32Array(0);
  /** exception[day - origin]: minutes of the exception that covers the day, or −1. */
  #exception = new Int32Array(0);
  /** before[day - origin]: working days in [origin, day). */
  #before = new Int32Array(1);
  /** days[index]: the day that has this number. */
  #days: Day[] = [];

  /** @param origin Number 0 goes to the first working day from here; earlier days cannot be asked for. */
  constructor(
    calendar: Calendar,
    readonly origin: Day,
  ) {
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
    this.#reach(day);
    return this.#minutes[day - this.origin];
  }

  /** Working minutes of the days of a range, for loops: index `at + (day - start)`. Shared: read, never write. */
  minutesOver(start: Day, stop: Day): { minutes: Int32Array; at: number } {
    this.#reach(start);
    this.#reach(Math.max(start, stop - 1));
    return { minutes: this.#minutes, at: start - this.origin };
  }

  /** Minutes the plain week gives to a day, whatever exceptions say. */
  weekMinutesOn(day: Day): number {
    return this.weekMinutes[weekdayOf(day)];
  }

  /** Minutes of the exception that covers a day, the later one in the list where several do; −1 where none does. */
  exceptionOn(day: Day): number {
    this.#reach(day);
    return this.#exception[day - this.origin];
  }

  isWorkingDay(day: Day): boolean {
    return this.minutesOn(day) > 0;
  }

  /** How many working days come before a day: the number of the day itself, or of the next working day. */
  indexOf(day: Day): number {
    this.#reach(day);
    return this.#before[day - this.origin];
  }

  /** The day with a number from 0. */
  dayAt(index: number): Day {
    while (this.#days.length <= index) this.#reach(this.origin + this.#minutes.length + 366);
    return this.#days[index];
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
    const index = Math.max(0, Math.ceil(at / TICKS_PER_DAY) - 1);
    return { day: this.dayAt(index), tick: at - index * TICKS_PER_DAY };
  }

  #reach(day: Day): void {
    if (day < this.origin) throw new RangeError(`day ${day} is before the origin ${this.origin} of this calendar's line`);
    const old = this.#minutes.length;
    if (day - this.origin < old) return;
    const length = Math.max(day - this.origin + 1, old * 2, 800);
    const minutes = new Int32Array(length);
    const exception = new Int32Array(length).fill(-1);
    for (const { from, to, minutes: hours } of this.#exceptions)
      exception.fill(hours, clamp(from - this.origin, length), clamp(to + 1 - this.origin, length));
    const before = new Int32Array(length + 1);
    const days: Day[] = [];
    for (let at = 0; at < length; at++) {
      minutes[at] = exception[at] >= 0 ? exception[at] : this.weekMinutes[weekdayOf(this.origin + at)];
      before[at] = days.length;
      if (minutes[at] > 0) days.push(this.origin + at);
    }
    before[length] = days.length;
    this.#minutes = minutes;
    this.#exception = exception;
    this.#before = before;
    this.#days = days;
  }
}

function clamp(at: number, length: number): number {
  return Math.max(0, Math.min(length, at));
}
