// The whole horizon at a glance: capacity and load of everyone, week by week.
import type { Day } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { overOf, peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { allRows } from "../plan/rows.ts";

export interface Ribbon {
  horizon: Range;
  today: Day;
  /** First day of each week, and minutes of all people in it; the first and last week are cut to the horizon. */
  weeks: Day[];
  capacity: number[];
  load: number[];
  /** Sum of what single people have past their capacity in the week. */
  over: number[];
}

/** The horizon's weeks, as the settings have them begin. @param clock The day it is, where the plan does not fix one. */
export function ribbonOf(model: Model, clock: Day): Ribbon {
  const horizon = horizonOf(model.plan);
  const periods = periodsIn(horizon, "week", periodSettingsOf(model.plan));
  const everyone = allRows(model.plan.people);
  const people = peopleSums(model, model.load(defaultCounting), everyone, periods);
  const [capacity, load, over] = [0, 1, 2].map(() => new Array<number>(periods.length).fill(0));
  people.load.forEach((minutes, slot) => {
    const week = slot % periods.length;
    capacity[week] += people.capacity[slot];
    load[week] += minutes;
    over[week] += overOf(people.capacity[slot], minutes);
  });
  return { horizon, today: todayOf(model.plan, clock), weeks: periods.map(({ start }) => start), capacity, load, over };
}
