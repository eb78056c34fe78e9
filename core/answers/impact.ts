// The effect of an edit on the whole plan: capacity, new overloads, hours that can no longer be worked, moved finishes.
import type { Day } from "../calendar/day.ts";
import { horizonOf, periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { moneyOfAll } from "../cost/costs.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { levelBandOf, overBeyond, type PeriodSums, peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { type UnplacedRise, unplacedRises } from "../placing/unplacedRises.ts";
import type { Money } from "../plan/moneySides.ts";
import { allRows, rowById } from "../plan/rows.ts";
import { movesOf } from "../schedule/moves.ts";
import { updateModel } from "../update/update.ts";

/** A week in which a person goes over, or goes over by more. Minutes. */
export interface OverRise {
  personId: string;
  name: string;
  week: Range;
  before: number;
  after: number;
}

/** A finish that moves. */
export interface FinishMove {
  kind: "task" | "project";
  id: string;
  name: string;
  before: Day;
  after: Day;
}

export interface Impact {
  /** The reasons why the edit cannot be made; everything else is empty then. */
  faults: string[];
  /** Minutes of the horizon, of everyone. */
  capacity: { before: number; after: number };
  /** People whose capacity changes in some week. */
  people: number;
  /** Weeks in which capacity changes, with the change in minutes. */
  weeks: { week: Range; change: number }[];
  over: OverRise[];
  /** Minutes that were over and are no longer; and whose and in which weeks, the most first. */
  relieved: number;
  eased: OverRise[];
  /** People whose load falls over the horizon, and by how many minutes; most first. */
  freed: { personId: string; name: string; minutes: number }[];
  unplaced: UnplacedRise[];
  /** Minutes that had no place and have one now, or are someone else's. */
  placedAgain: number;
  /** Tasks, and after them the projects whose last finish moves. */
  finishes: FinishMove[];
  /** Minor units over the horizon, of all projects: after less before. */
  money: { cost: Money<"cost">; revenue: Money<"bill"> };
}

/** Tries an edit on a copy of the plan and compares the two over the horizon, with the default counting. */
export function impactOf(model: Model, edit: Edit): Impact {
  const outcome = applyEdit(model.plan, edit);
  if (!outcome.plan) return { ...nothing, faults: outcome.faults.map(({ message }) => message) };
  const next = updateModel(model, outcome.plan, outcome.changes);
  const weeks = periodsIn(horizonOf(model.plan), "week", periodSettingsOf(model.plan));
  return {
    faults: [],
    ...compareLoads(model, next, weeks),
    ...compareUnplaced(model, next),
    finishes: finishMoves(model, next),
    money: moneyChange(model, next),
  };
}

const nothing: Impact = {
  faults: [],
  capacity: { before: 0, after: 0 },
  people: 0,
  weeks: [],
  over: [],
  relieved: 0,
  eased: [],
  freed: [],
  unplaced: [],
  placedAgain: 0,
  finishes: [],
  money: { cost: 0, revenue: 0 },
};

function compareLoads(
  model: Model,
  next: Model,
  weeks: readonly Range[],
): Pick<Impact, "capacity" | "people" | "weeks" | "over" | "relieved" | "eased" | "freed"> {
  const [was, is] = [sumsOf(model, weeks), sumsOf(next, weeks)];
  const count = weeks.length;
  const band = levelBandOf(next.plan);
  const known = rowById(model.plan.people);
  const change = new Int32Array(count);
  const capacity = { before: total(was.capacity), after: total(is.capacity) };
  const over: OverRise[] = [];
  const [freed, eased]: [Impact["freed"], OverRise[]] = [[], []];
  let [people, relieved] = [0, 0];
  next.plan.people.forEach(({ id, name }, row) => {
    const old = known.get(id);
    let [isChanged, less] = [false, 0];
    for (let week = 0; week < count; week++) {
      const at = row * count + week;
      const [oldCapacity, oldLoad] = old === undefined ? [0, 0] : [was.capacity[old * count + week], was.load[old * count + week]];
      const [before, after] = [overBeyond(oldCapacity, oldLoad, band), overBeyond(is.capacity[at], is.load[at], band)];
      if (is.capacity[at] !== oldCapacity) isChanged = true;
      less += oldLoad - is.load[at];
      change[week] += is.capacity[at] - oldCapacity;
      if (after > before) over.push({ personId: id, name, week: weeks[week], before, after });
      else if (before > after) {
        eased.push({ personId: id, name, week: weeks[week], before, after });
        relieved += before - after;
      }
    }
    if (isChanged) people++;
    if (less > 0) freed.push({ personId: id, name, minutes: less });
  });
  freed.sort((a, b) => b.minutes - a.minutes);
  const changed = weeks.flatMap((week, at) => (change[at] === 0 ? [] : [{ week, change: change[at] }]));
  over.sort((a, b) => b.after - b.before - (a.after - a.before));
  eased.sort((a, b) => b.before - b.after - (a.before - a.after));
  return { capacity, people, weeks: changed, over, relieved, eased, freed };
}

function sumsOf(model: Model, weeks: readonly Range[]): PeriodSums {
  const everyone = allRows(model.plan.people);
  return peopleSums(model, model.load(defaultCounting), everyone, weeks);
}

const total = (minutes: Int32Array): number => minutes.reduce((sum, own) => sum + own, 0);

function compareUnplaced(model: Model, next: Model): Pick<Impact, "unplaced" | "placedAgain"> {
  const { shares } = next.load(defaultCounting);
  const { rises, placedAgain } = unplacedRises(model, next, (row) => shares[row] >= 0);
  return { unplaced: rises, placedAgain };
}

function finishMoves(model: Model, next: Model): FinishMove[] {
  const { tasks, projects } = movesOf(model, next);
  return [
    ...tasks
      .filter(({ before, after }) => before.finish !== after.finish)
      .map(({ taskId: id, name, before, after }) => ({ kind: "task" as const, id, name, before: before.finish, after: after.finish })),
    ...projects.map(({ projectId: id, name, before, after }) => ({ kind: "project" as const, id, name, before, after })),
  ];
}

function moneyChange(model: Model, next: Model): Impact["money"] {
  const [was, is] = [moneyOfAll(model.plan, model.costsOfHorizon()), moneyOfAll(next.plan, next.costsOfHorizon())];
  return { cost: is.cost - was.cost, revenue: is.revenue - was.revenue };
}
