// Giving away work that has begun: the hours that were recorded stay with the person who recorded them, and what remains is given.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { rowById } from "../plan/rows.ts";
import type { Assignment, Plan } from "../plan/schema.ts";
import { type ActualLine, actualLines, statusDayOf } from "../recorded/actuals.ts";
import { recordedOf } from "../recorded/recorded.ts";
import { onceFor } from "../values/once.ts";
import { exactHours, workMinutes } from "../values/units.ts";

/** Stands for "any day is past", where neither the plan nor the edit says which day it is: approved hours have been worked. */
const FAR_AHEAD: Day = 10_000_000;

/** The two parts of an assignment that was begun. */
export interface Parts {
  /** Keys to set on the assignment, which keeps its actual minutes. */
  kept: { hours?: number; remaining: Assignment["remaining"] | null };
  /** The statement of the new assignment, without id and person. */
  given: Omit<Assignment, "id" | "personId" | "teamId">;
}

/** The parts of an assignment with actual minutes; null where it has none. @param asOf The day it is, where the plan states none. */
export function partsOfBegun(plan: Plan, assignment: Assignment, asOf: string | undefined): Parts | null {
  if (plan.timeEntries.length === 0) return null;
  const clock = asOf === undefined ? FAR_AHEAD : parseDay(asOf);
  const row = rowById(plan.assignments).get(assignment.id);
  const lines = linesOf(plan, clock).filter((line) => line.assignment === row);
  if (lines.length === 0) return null;
  const { id: _, personId: __, teamId: ___, remaining, ...statement } = assignment;
  const status = statusDayOf(plan, { clock });
  if (assignment.hours === undefined) return statedOtherwise(statement, lines, status);
  const actual = minutesFrom(lines, Number.NEGATIVE_INFINITY);
  const left = remaining
    ? workMinutes(remaining.hours) - minutesFrom(lines, parseDay(remaining.asOf))
    : workMinutes(assignment.hours) - actual;
  return {
    kept: { hours: exactHours(actual), remaining: null },
    given: { ...statement, hours: exactHours(Math.max(0, left)) },
  };
}

/** A share, hours a day or week, and typed periods stay as they are stated: nothing remains of them, and the other person has the
 * same from the status date on. */
function statedOtherwise(statement: Parts["given"], lines: readonly ActualLine[], status: Day): Parts {
  const last = lines.reduce((latest, { days }) => Math.max(latest, days[days.length - 1]), Number.NEGATIVE_INFINITY);
  const day = status === FAR_AHEAD ? last + 1 : status;
  const date = formatDay(day);
  const kept = { remaining: { hours: 0, asOf: date } };
  const { custom, ...rest } = statement;
  if (custom) return { kept, given: { ...rest, custom: custom.filter(({ to }) => to >= date).map((period) => cut(period, date)) } };
  return { kept, given: { ...rest, from: rest.from !== undefined && rest.from > date ? rest.from : date } };
}

type Period = NonNullable<Assignment["custom"]>[number];

/** The part of a typed period from a date on, by its calendar days. */
function cut(period: Period, date: string): Period {
  if (period.from >= date) return period;
  const [from, to, at] = [parseDay(period.from), parseDay(period.to), parseDay(date)];
  return { ...period, from: date, hours: exactHours(Math.round((workMinutes(period.hours) * (to + 1 - at)) / (to + 1 - from))) };
}

/** Actual minutes on the days from one on. */
function minutesFrom(lines: readonly ActualLine[], from: Day): number {
  return lines.reduce((sum, { days, minutes }) => sum + minutes.reduce((own, value, at) => own + (days[at] >= from ? value : 0), 0), 0);
}

const linesOf = (plan: Plan, clock: Day): readonly ActualLine[] => {
  const known = linesOfPlan(plan);
  const lines = known.get(clock) ?? actualLines(plan, recordedOf(plan, clock));
  known.set(clock, lines);
  return lines;
};

const linesOfPlan = onceFor((_: Plan): Map<Day, readonly ActualLine[]> => new Map());
