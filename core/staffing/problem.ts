// Giving many openings to people at once, as a problem of numbers: what each needs by week, who has what room.

import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { rateBookOf } from "../cost/rateBook.ts";
import { defaultCounting } from "../load/counting.ts";
import { roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { columnOf } from "../plan/rows.ts";
import { lookUp } from "../values/lookUp.ts";
import { bestFitting, openingRow } from "./match.ts";
import { needOf } from "./need.ts";

/** One person who could take one opening. */
export interface Option {
  opening: number;
  person: number;
  /** Hundredths of a percent, and minor units for all of it. */
  fit: number;
  cost: number;
}

/** Weeks are numbered over all openings; minutes by week. */
export interface Problem {
  openings: { id: string; total: number; needs: { week: number; minutes: number }[]; days: Range }[];
  options: Option[];
  weeks: Range[];
  /** room[i][week] of `people[i]`, minutes. */
  people: number[];
  room: Int32Array[];
}

/** Most people who are looked at for one opening: the best by cover, fit and cost. */
const MOST_OPTIONS = 12;

/** Lays out the openings with these ids; those who miss a requirement, or have no room at all, are no option. */
export function problemOf(model: Model, openingIds: readonly string[]): Problem {
  const rows = openingIds.map((id) => ({ id, row: openingRow(model, id) })).filter(({ row }) => row >= 0);
  const needs = rows.map(({ row }) => needOf(model, row));
  const dated = needs.filter(({ range }) => range.stop > range.start);
  const range = {
    start: Math.min(...dated.map((need) => need.range.start)),
    stop: Math.max(...dated.map((need) => need.range.stop)),
  };
  const weeks = dated.length === 0 ? [] : periodsIn(range, "week", periodSettingsOf(model.plan));
  const options: Option[] = [];
  const book = rateBookOf(model.plan);
  const people: number[] = [];
  const rowOf = new Map<number, number>();
  const openings = rows.map(({ id, row }, opening) => {
    for (const { person, fit, cost, covered } of bestFitting(model, row, book, MOST_OPTIONS)) {
      if (!rowOf.has(person)) rowOf.set(person, people.push(person) - 1);
      options.push({
        opening,
        person: lookUp(rowOf, person),
        fit,
        cost: Math.round((cost * needTotal(needs[opening].minutes)) / covered),
      });
    }
    return { id, total: needTotal(needs[opening].minutes), needs: byWeek(weeks, needs[opening]), days: needs[opening].range };
  });
  const load = model.load(defaultCounting);
  const room = people.map((person) => {
    if (weeks.length === 0) return new Int32Array(0);
    const days = roomDays(model, load, person, range);
    return columnOf(weeks, ({ start, stop }) => needTotal(days.subarray(start - range.start, stop - range.start)));
  });
  return { openings, options, weeks, people, room };
}

const needTotal = (minutes: Int32Array): number => minutes.reduce((sum, own) => sum + own, 0);

function byWeek(weeks: readonly Range[], { range, minutes }: ReturnType<typeof needOf>): { week: number; minutes: number }[] {
  return weeks.flatMap(({ start, stop }, week) => {
    const first = Math.max(start, range.start);
    const last = Math.min(stop, range.stop);
    const sum = last > first ? needTotal(minutes.subarray(first - range.start, last - range.start)) : 0;
    return sum > 0 ? [{ week, minutes: sum }] : [];
  });
}

/** The assignment of openings: for each option used, minutes in each week of its opening's needs. */
export interface Transfer {
  option: number;
  minutes: number[];
}

/** Minutes covered, then fit and cost weighted by what is covered, as they are compared. */
export function worthOf({ openings, options }: Problem, transfers: readonly Transfer[]): { covered: number; fit: number; cost: number } {
  let [covered, fit, cost] = [0, 0, 0];
  for (const { option, minutes } of transfers) {
    const { opening, fit: own, cost: whole } = options[option];
    const sum = minutes.reduce((total, part) => total + part, 0);
    covered += sum;
    fit += (own * sum) / 10_000;
    cost += openings[opening].total === 0 ? 0 : (whole * sum) / openings[opening].total;
  }
  return { covered, fit, cost };
}
