// The balance board: rows of people, roles, teams or projects, capacity against load in every period of a window.
import { weekdayOf } from "../calendar/day.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { type Model, periodSettingsOf } from "../model.ts";
import type { ReportRange } from "../reports/range.ts";
import { type Bar, barsOf } from "./bars.ts";
import { BoardMaker } from "./boardRows.ts";
import { type BoardView, peopleLeft, usualView } from "./boardView.ts";
import { countedShares } from "./counting.ts";
import { levelBandOf, type PeriodSums, peopleSums } from "./periodSums.ts";
import { tentativeLoads } from "./tentative.ts";
import { type Totals, totalsOf } from "./totals.ts";

/** A row of the board. A group adds up its people; a part is what one person does on one project. */
export interface BoardRow {
  kind: "group" | "person" | "part";
  /** Of the role, team, place, person or project; of a part, its project's or its person's. */
  id: string;
  /** Unique on the board. */
  key: string;
  name: string;
  /** The second line under a name. */
  roleName: string;
  /** Of a person, and of what is a person's part. */
  personId?: string;
  /** Of a project. */
  projectRow?: number;
  weekDays?: number;
  isContractor?: boolean;
}

/** What the board shows. Figures of row r in period p stand at index `r × periods.length + p`, in minutes; only the
 * first `filled` rows have figures. */
export interface Board extends PeriodSums {
  periods: Range[];
  rows: BoardRow[];
  filled: number;
  /** Of people: what of the load is pencilled, asked for, or in the pipeline. */
  tentative: Int32Array;
  /** Of groups: openings made in the role, work of the team, and what nobody has on the project. */
  open: Int32Array;
  /** Of groups: how many of their people are over. */
  overCount: Int32Array;
  /** 1 where an overload is accepted. */
  accepted: Uint8Array;
  /** Number of tasks somebody works on; all 0 unless asked for. */
  tasks: Int32Array;
  /** Sums of all people shown by period. */
  all: PeriodSums;
  /** Minutes of one full-time equivalent in each period. */
  fullTime: number[];
  totals: Totals;
  /** Between which shares of capacity a load is level. */
  band: { low: number; high: number };
  /** People whose load passes their capacity in a period and is not accepted, and by how much in all. */
  overPeople: number;
  overMinutes: number;
  /** Assignments of the people whose row is open, by person id. */
  bars: Record<string, Bar[]>;
}

export interface BoardQuery extends ReportRange {
  /** Ids of people whose assignments are shown. */
  open: readonly string[];
  /** How many rows get figures; all by default. */
  limit?: number;
  view?: BoardView;
  countsTasks?: boolean;
}

/** Reckons the board of a window. */
export function boardOf(model: Model, { range, grain, open, limit, view = usualView, countsTasks = false }: BoardQuery): Board {
  const shares = countedShares(model, view.counting);
  const periods = periodsIn(range, grain, periodSettingsOf(model.plan));
  const left = [...peopleLeft(model, view.filters, shares, range)];
  const people = peopleSums(model, left, shares, periods);
  const tentative = tentativeLoads(model, left, shares, periods);
  const maker = new BoardMaker(model, { shares, periods, range, people, tentative, left, view, countsTasks });
  maker.make();
  return {
    periods,
    ...maker.cut(limit),
    all: maker.all,
    fullTime: periods.map((period) => fullTimeMinutes(model, period)),
    totals: totalsOf(model, shares, range),
    band: levelBandOf(model.plan),
    overPeople: maker.overPeople,
    overMinutes: maker.overMinutes,
    bars: Object.fromEntries(open.map((id) => [id, barsOf(model, id, range, periods, shares)])),
  };
}

const USUAL_FTE_HOURS = 40;

/** A full-time week's hours over the weekdays of a period, holidays or not. */
function fullTimeMinutes({ plan }: Model, { start, stop }: Range): number {
  let weekdays = 0;
  for (let day = start; day < stop; day++) if (weekdayOf(day) < 5) weekdays++;
  return ((plan.settings.hoursPerFteWeek ?? USUAL_FTE_HOURS) * 60 * weekdays) / 5;
}
