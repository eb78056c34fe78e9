// Work as typed periods: what is typed, and what was there before and after it, week by week where a rule gave it.

import type { BarPlace } from "../bars/moveBar.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import type { SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { customShift } from "../placing/place.ts";
import { placedIn } from "../placing/placements.ts";
import type { Assignment } from "../plan/schema.ts";
import { exactHours } from "../values/units.ts";

export type Bucket = NonNullable<Assignment["custom"]>[number];

/** The change that states an assignment's work by typed periods. They follow their task from the day it begins now. */
export function statedBy({ assignment, task }: Pick<BarPlace, "assignment" | "task">, custom: readonly Bucket[]): SingleEdit {
  const others = { hours: null, percent: null, hoursPerDay: null, hoursPerWeek: null, shape: null };
  return {
    kind: "changeAssignment",
    id: assignment.id,
    set: { custom: [...custom], customFrom: formatDay(task.start), ...others },
  };
}

/** The weeks of a range in which work is placed, as the plan's settings begin them. */
export function weeksIn(model: Model, row: number, range: Range): Bucket[] {
  const weeks = range.stop > range.start ? periodsIn(range, "week", periodSettingsOf(model.plan)) : [];
  return weeks.flatMap(({ start, stop }) => {
    const minutes = placedIn(model.placements, row, 10_000, start, stop);
    return minutes > 0 ? [{ from: formatDay(start), to: formatDay(stop - 1), hours: exactHours(minutes) }] : [];
  });
}

/** The typed periods outside some periods: those that do not overlap them as they are, the others and calculated hours week by
 * week.
 * @param periods In order of their starts, none over another. */
export function bucketsBeside(model: Model, { row, assignment, dates }: BarPlace, periods: readonly Range[]): Bucket[] {
  const { start, length } = model.placements;
  if (!assignment.custom) {
    const all = { start: start[row], stop: start[row] + length[row] };
    return without(all, periods).flatMap((range) => weeksIn(model, row, range));
  }
  const shift = customShift(assignment, dates);
  return assignment.custom.flatMap(({ from, to, hours }) => {
    const own = { start: parseDay(from) + shift, stop: parseDay(to) + 1 + shift };
    if (periods.every((period) => period.start >= own.stop || period.stop <= own.start))
      return [{ from: formatDay(own.start), to: formatDay(own.stop - 1), hours }];
    return without(own, periods).flatMap((range) => weeksIn(model, row, range));
  });
}

/** The parts of a range that none of some periods cover. */
function without(range: Range, periods: readonly Range[]): Range[] {
  const parts: Range[] = [];
  let start = range.start;
  for (const period of periods) {
    if (period.start > start) parts.push({ start, stop: Math.min(range.stop, period.start) });
    start = Math.max(start, period.stop);
  }
  if (start < range.stop) parts.push({ start, stop: range.stop });
  return parts.filter((part) => part.stop > part.start);
}
