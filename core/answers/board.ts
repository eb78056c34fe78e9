// The balance board: rows of people, roles, teams or projects, capacity against load in every period of a window.

import { BoardMaker, type BoardRow } from "../board/rows.ts";
import { type BoardOnly, type BoardView, peopleLeft, projectsLeft, usualView } from "../board/view.ts";
import { weekdayOf } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import type { ReportRange } from "../calendar/periods.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { type Bar, barsOf } from "../load/bars.ts";
import type { LoadBook } from "../load/loadBook.ts";
import { type LevelBand, levelBandOf, type PeriodSums, peopleSums, periodStates, statesOf } from "../load/periodSums.ts";
import { tentativeLoads } from "../load/tentative.ts";
import { assignedPercent } from "../load/totals.ts";
import type { Model } from "../model.ts";
import { usualSettings } from "../plan/usualSettings.ts";
import { shareOf } from "../values/units.ts";

/** The figures of the board. Figures of row r in period p are at index `r × periods.length + p`, in minutes; only the first
 * `filled` rows have figures. */
export interface Board extends PeriodSums {
  periods: Range[];
  rows: BoardRow[];
  filled: number;
  /** Of people: what of the load is pencilled, asked for, or in the pipeline. */
  tentative: Int32Array;
  /** Over, level or open, as an index in `periodStates`; of what has no capacity of its own it says nothing. */
  state: Uint8Array;
  /** Of a role the openings made in it, of a project what nobody has: on top of the load. */
  open: Int32Array;
  /** Of a team: what of the load is given to it and to nobody by name. */
  toTeam: Int32Array;
  /** Of groups: how many of their people are over. */
  overCount: Int32Array;
  /** 1 where an overload is accepted. */
  accepted: Uint8Array;
  /** Number of tasks a person works on; all 0 unless asked for. */
  tasks: Int32Array;
  /** Sums of all people shown by period. */
  all: PeriodSums & { state: Uint8Array };
  /** Minutes of one full-time equivalent in each period. */
  fullTime: number[];
  /** The share of the work of the filtered projects that is assigned, and of the capacity of the people shown that is used. In
   * hundredths of a percent. */
  assignedPercent: number | null;
  usedPercent: number | null;
  /** Between which shares of capacity a load is level, for what is not a cell: the sum of a row. */
  band: LevelBand;
  /** People who are over in a period that is not accepted, and by how much in total. */
  overPeople: number;
  overMinutes: number;
  /** Assignments of the people whose row is open, by person id. */
  bars: Record<string, Bar[]>;
}

export interface BoardQuery extends ReportRange {
  /** Ids of people whose assignments are shown. */
  open: readonly string[];
  /** Number of rows with figures; all by default. */
  limit?: number;
  view?: BoardView;
  countsTasks?: boolean;
}

/** Calculates the board of a window. */
export function boardOf(model: Model, { range, grain, open, limit, view = usualView, countsTasks = false }: BoardQuery): Board {
  const load = model.load(view.counting);
  const { shares } = load;
  const periods = periodsIn(range, grain, periodSettingsOf(model.plan));
  const left = whoAre(view.only, model, load, periods, [...peopleLeft(model, view.filters, shares, range)]);
  const people = peopleSums(model, load, left, periods);
  const tentative = tentativeLoads(model, left, load, periods);
  const band = levelBandOf(model.plan);
  const maker = new BoardMaker(model, { load, periods, people, tentative, left, view, band, countsTasks });
  maker.make();
  const { all } = maker;
  const sumOf = (minutes: Int32Array) => minutes.reduce((sum, own) => sum + own, 0);
  return {
    periods,
    ...maker.cut(limit),
    all: { ...all, state: statesOf(all, band) },
    fullTime: periods.map((period) => fullTimeMinutes(model, period)),
    assignedPercent: assignedPercent(model, load, range, projectsLeft(model.plan, view.filters) ?? undefined),
    usedPercent: shareOf(sumOf(all.load), sumOf(all.capacity)),
    band,
    overPeople: maker.overPeople,
    overMinutes: maker.overMinutes,
    bars: Object.fromEntries(open.map((id) => [id, barsOf(model, id, range, periods, shares)])),
  };
}

/** Of some people those who are over in one of the periods, or have room in one. */
function whoAre(only: BoardOnly, model: Model, load: LoadBook, periods: readonly Range[], people: number[]): number[] {
  if (only === "all") return people;
  const sums = peopleSums(model, load, people, periods);
  const states = statesOf(sums, levelBandOf(model.plan));
  const isMeant = (slot: number) => {
    const state = periodStates[states[slot]];
    return only === "over" ? state === "over" : state === "open" && sums.load[slot] < sums.capacity[slot];
  };
  return people.filter((_, at) => periods.some((__, p) => isMeant(at * periods.length + p)));
}

/** A full-time week's hours over the weekdays of a period, holidays or not. */
function fullTimeMinutes({ plan }: Model, { start, stop }: Range): number {
  let weekdays = 0;
  for (let day = start; day < stop; day++) if (weekdayOf(day) < 5) weekdays++;
  return ((plan.settings.hoursPerFteWeek ?? usualSettings.hoursPerFteWeek) * 60 * weekdays) / 5;
}
