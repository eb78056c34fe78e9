// The hours of one assignment, week by week.

import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { levelBandOf, periodState } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { rowById } from "../plan/rows.ts";

export interface WorkWeek {
  week: Range;
  /** Minutes placed. */
  minutes: number;
  /** True where it alone is more than its person can work in the week. */
  over: boolean;
}

export interface WorkWeeks {
  assignmentId: string;
  weeks: WorkWeek[];
  asked: number;
  unplaced: number;
}

/** The weeks of an assignment from its first day with work to its last; null for one that is not in the plan. */
export function workWeeks(model: Model, assignmentId: string): WorkWeeks | null {
  const { plan, placements, work, capacity } = model;
  const row = rowById(plan.assignments).get(assignmentId);
  if (row === undefined) return null;
  const start = placements.start[row];
  const range = { start, stop: start + placements.length[row] };
  const weeks = range.stop <= range.start ? [] : periodsIn(range, "week", periodSettingsOf(plan));
  const person = work.person[row];
  const band = levelBandOf(plan);
  return {
    assignmentId,
    asked: placements.asked[row],
    unplaced: placements.unplaced[row],
    weeks: weeks.map((week) => {
      const minutes = placedIn(placements, row, 10_000, week.start, week.stop);
      if (person < 0) return { week, minutes, over: false };
      const { regular, overtime, at } = capacity.of(person, week.start, week.stop);
      let own = 0;
      for (let i = at; i < at + week.stop - week.start; i++) own += regular[i] + overtime[i];
      return { week, minutes, over: periodState(own, minutes, band) === "over" };
    }),
  };
}
