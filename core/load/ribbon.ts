// The whole horizon at a glance: capacity and load of everybody, week by week.
import { type Day, weekdayOf } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { horizonOf, type Model, todayOf } from "../model.ts";
import { countedShares, defaultCounting } from "./counting.ts";
import { addPlaced } from "./placements.ts";

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

/** The horizon's weeks. @param clock The day it is, where the plan does not fix one. */
export function ribbonOf(model: Model, clock: Day): Ribbon {
  const horizon = horizonOf(model.plan);
  const first = horizon.start - weekdayOf(horizon.start);
  const count = Math.max(1, Math.ceil((horizon.stop - first) / 7));
  const sums = {
    capacity: new Array<number>(count).fill(0),
    load: new Array<number>(count).fill(0),
    over: new Array<number>(count).fill(0),
  };
  const shares = countedShares(model, defaultCounting);
  const load = new Int32Array(count * 7);
  const inWeeks = { start: first, stop: first + count * 7 };
  model.plan.people.forEach((_, person) => {
    load.fill(0);
    for (let at = model.work.byPerson.first[person]; at < model.work.byPerson.first[person + 1]; at++) {
      const row = model.work.byPerson.members[at];
      if (shares[row] > 0) addPlaced(model.placements, row, shares[row], inWeeks.start, inWeeks.stop, load, 0);
    }
    const { regular, overtime, at } = model.capacity.of(person, inWeeks.start, inWeeks.stop);
    for (let week = 0; week < count; week++) {
      let own = 0;
      let planned = 0;
      for (let i = week * 7; i < week * 7 + 7; i++) {
        own += regular[at + i] + overtime[at + i];
        planned += load[i];
      }
      sums.capacity[week] += own;
      sums.load[week] += planned;
      if (planned > own) sums.over[week] += planned - own;
    }
  });
  return { horizon, today: todayOf(model.plan, clock), weeks: sums.capacity.map((_, week) => first + week * 7), ...sums };
}
