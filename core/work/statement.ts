// The statement of an assignment's labour as numbers: which of the five ways, how much, in what shape, between which days.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Assignment } from "../plan/schema.ts";
import { percentHundredths, workMinutes } from "../values/units.ts";

/** The ways to state labour; their numbers are in columns. */
export const HOURS = 0;
export const PERCENT = 1;
export const PER_DAY = 2;
export const PER_WEEK = 3;
export const CUSTOM = 4;

export type Shape = NonNullable<Assignment["shape"]>;

export const shapes: readonly Shape[] = ["even", "early", "late", "peak"];

/** Stand for "not cut" in the columns of an assignment's own first and last day. */
export const NO_FROM: Day = -(2 ** 31);
export const NO_TO: Day = 2 ** 31 - 1;

export interface Statement {
  /** HOURS … CUSTOM. */
  way: number;
  /** Minutes (in total, a day, a week), or hundredths of a percent; of typed buckets their sum. */
  amount: number;
  /** Index in `shapes`. */
  shape: number;
  from: Day;
  to: Day;
}

/** The statement of an assignment; work sized by effort states hours. */
export function statementOf(assignment: Assignment): Statement {
  const { shape = "even", from, to } = assignment;
  const { way, amount } = amountOf(assignment);
  // Not `...amountOf()`: what is added to an object that was spread takes Node.js twenty times as long, and this is asked of
  // every assignment.
  return {
    way,
    amount,
    shape: shapes.indexOf(shape),
    from: from === undefined ? NO_FROM : parseDay(from),
    to: to === undefined ? NO_TO : parseDay(to),
  };
}

function amountOf({ hours, percent, hoursPerDay, hoursPerWeek, custom }: Assignment): { way: number; amount: number } {
  if (custom) return { way: CUSTOM, amount: custom.reduce((sum, bucket) => sum + workMinutes(bucket.hours), 0) };
  if (hours !== undefined) return { way: HOURS, amount: workMinutes(hours) };
  if (percent !== undefined) return { way: PERCENT, amount: percentHundredths(percent) };
  if (hoursPerDay !== undefined) return { way: PER_DAY, amount: workMinutes(hoursPerDay) };
  return { way: PER_WEEK, amount: workMinutes(hoursPerWeek ?? 0) };
}
