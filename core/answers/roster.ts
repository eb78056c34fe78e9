// The roster: people with what they can do and how full they are over a window.

import type { ReportRange } from "../calendar/periods.ts";
import { weekSpans } from "../calendar/weekSpans.ts";
import { defaultCounting } from "../load/counting.ts";
import { levelBandOf, type PeriodState, peopleSums, periodState } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { allRows, findRow, knownRow } from "../plan/rows.ts";
import type { Person, Plan } from "../plan/schema.ts";

export interface RosterRow {
  person: Person;
  roleNames: string[];
  teamNames: string[];
  skills: { name: string; level: number }[];
  calendarName: string;
  /** Hours of each weekday, Monday first, for each week that holds in the window, in order of time. */
  weeks: (readonly number[])[];
  calendarWeek: number[];
  /** Minutes of the window. */
  capacity: number;
  load: number;
  state: PeriodState;
  /** Minutes of their work that could not be placed, regardless of the window. */
  unplaced: number;
}

/** Everyone in plan order, with capacity and load of a window. */
export function rosterOf(model: Model, { range }: ReportRange): RosterRow[] {
  const { plan } = model;
  const people = allRows(plan.people);
  const load = model.load(defaultCounting);
  const sums = peopleSums(model, load, people, [range]);
  const band = levelBandOf(plan);
  const teams = teamNames(plan);
  const unplaced = unplacedOf(model, load.shares);
  return plan.people.map((person, row) => {
    const calendar = knownRow(plan.calendars, person.calendarId);
    return {
      person,
      roleNames: person.roleIds.map((id) => findRow(plan.roles, id)?.name ?? id),
      skills: (person.skills ?? []).map(({ skillId, level }) => ({ name: findRow(plan.skills, skillId)?.name ?? skillId, level })),
      teamNames: teams.get(person.id) ?? [],
      calendarName: calendar.name,
      weeks: weekSpans(person, calendar)
        .filter(({ from, last }) => (from ?? range.start) < range.stop && (last ?? range.start) >= range.start)
        .map(({ week }) => week),
      calendarWeek: calendar.week,
      capacity: sums.capacity[row],
      load: sums.load[row],
      state: periodState(sums.capacity[row], sums.load[row], band),
      unplaced: unplaced[row],
    };
  });
}

function teamNames({ teams }: Plan): Map<string, string[]> {
  const names = new Map<string, string[]>();
  for (const { name, memberIds } of teams) for (const id of memberIds) names.set(id, [...(names.get(id) ?? []), name]);
  return names;
}

function unplacedOf({ plan, work, placements }: Model, shares: Int32Array): Int32Array {
  const sums = new Int32Array(plan.people.length);
  for (let row = 0; row < work.assignments; row++)
    if (work.person[row] >= 0 && shares[row] > 0) sums[work.person[row]] += placements.unplaced[row];
  return sums;
}
