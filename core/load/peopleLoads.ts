// Single people's figures over a window: what a change would do to them.
import { periodsIn, type Range } from "../calendar/periods.ts";
import { type Model, periodSettingsOf } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import type { ReportRange } from "../reports/range.ts";
import { type Counting, countedShares, defaultCounting } from "./counting.ts";
import { type PeriodSums, peopleSums } from "./periodSums.ts";

export interface PeopleLoads extends PeriodSums {
  periods: Range[];
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
  const sums = peopleSums(model, rows, countedShares(model, counting), periods);
  return { ...sums, periods, people: rows.map((row) => ({ id: model.plan.people[row].id, name: model.plan.people[row].name })) };
}
