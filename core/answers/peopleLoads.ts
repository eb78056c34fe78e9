// Single people's figures over a window: what a change would do to them.

import { periodSettingsOf } from "../calendar/horizon.ts";
import type { ReportRange } from "../calendar/periods.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { type Bar, barsOf } from "../load/bars.ts";
import { type Counting, defaultCounting } from "../load/counting.ts";
import { levelBandOf, type PeriodSums, peopleSums, statesOf } from "../load/periodSums.ts";
import { tentativeLoads } from "../load/tentative.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { missingOf } from "../staffing/match.ts";

export interface PeopleLoads extends PeriodSums {
  periods: Range[];
  /** As an index in `periodStates`. */
  state: Uint8Array;
  /** The part of the load that is pencilled, requested, or in the pipeline. */
  tentative: Int32Array;
  /** Assignments of those whose bars are asked for, by person id. */
  bars: Record<string, Bar[]>;
  people: { id: string; name: string }[];
  /** Roles and skills that the first of them lacks for the work that is asked about, by name. */
  missing: string[];
}

export interface PeopleLoadsQuery extends ReportRange {
  ids: readonly string[];
  counting?: Counting;
  /** Work that the first of them would take. */
  takes?: readonly string[];
  /** Ids of people whose bars are wanted. */
  open?: readonly string[];
}

/** Capacity, load and peak of some people by period, in the order of the ids; those that are not in the plan are left out. */
export function peopleLoads(
  model: Model,
  { range, grain, ids, counting = defaultCounting, takes = [], open = [] }: PeopleLoadsQuery,
): PeopleLoads {
  const rows = ids.flatMap((id) => rowById(model.plan.people).get(id) ?? []);
  const periods = periodsIn(range, grain, periodSettingsOf(model.plan));
  const load = model.load(counting);
  const sums = peopleSums(model, load, rows, periods);
  return {
    ...sums,
    state: statesOf(sums, levelBandOf(model.plan)),
    tentative: tentativeLoads(model, rows, load, periods),
    bars: Object.fromEntries(ids.filter((id) => open.includes(id)).map((id) => [id, barsOf(model, id, range, periods, load.shares)])),
    periods,
    people: rows.map((row) => ({ id: model.plan.people[row].id, name: model.plan.people[row].name })),
    missing: rows.length === 0 ? [] : missingFor(model, rows[0], takes),
  };
}

function missingFor({ plan, work }: Model, person: number, takes: readonly string[]): string[] {
  const missing = takes.flatMap((id) => {
    const row = rowById(plan.assignments).get(id);
    return row === undefined ? [] : missingOf(plan, plan.people[person], plan.tasks[work.task[row]], work.role[row]);
  });
  return [...new Set(missing)].map((lack) => {
    const [kind, id] = [lack.slice(0, lack.indexOf(":")), lack.slice(lack.indexOf(":") + 1)];
    return `the ${kind} ${findRow<{ id: string; name: string }>(kind === "role" ? plan.roles : plan.skills, id)?.name ?? id}`;
  });
}
