// Single people's figures over a window: what a change would do to them.

import { periodSettingsOf } from "../calendar/horizon.ts";
import type { ReportRange } from "../calendar/periods.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { type Counting, defaultCounting } from "../load/counting.ts";
import { levelBandOf, type PeriodSums, peopleSums, statesOf } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";

export interface PeopleLoads extends PeriodSums {
  periods: Range[];
  /** As an index in `periodStates`. */
  state: Uint8Array;
  people: { id: string; name: string }[];
}

export interface PeopleLoadsQuery extends ReportRange {
  ids: readonly string[];
  counting?: Counting;
}

/** Capacity, load and peak of some people by period, in the order of the ids; those that are not in the plan are left out. */
export function peopleLoads(model: Model, { range, grain, ids, counting = defaultCounting }: PeopleLoadsQuery): PeopleLoads {
  const rows = ids.flatMap((id) => rowById(model.plan.people).get(id) ?? []);
  const periods = periodsIn(range, grain, periodSettingsOf(model.plan));
  const sums = peopleSums(model, model.load(counting), rows, periods);
  return {
    ...sums,
    state: statesOf(sums, levelBandOf(model.plan)),
    periods,
    people: rows.map((row) => ({ id: model.plan.people[row].id, name: model.plan.people[row].name })),
  };
}
