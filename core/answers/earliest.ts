// The possible start of a project: the shortage of its roles by start week, and the role and week that prevent an earlier one.
import type { Range } from "../calendar/periods.ts";
import { earliestStarts } from "../forecast/earliest.ts";
import { type HelpNames, helpNames } from "../forecast/helpNames.ts";
import { type SoonerWay, type StartLimits, soonerWays, startWith } from "../forecast/sooner.ts";
import { defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import { type AsProjectQuery, enquiryAsProject } from "../projects/enquiryProject.ts";

export interface EarliestWeek {
  start: number;
  finish: number;
  /** Minutes. */
  shortage: number;
}

export interface EarliestAnswer {
  weeks: EarliestWeek[];
  /** The first week within the tolerance; null where none is. */
  first: EarliestWeek | null;
  /** The largest shortage in the week before the first, which is why it cannot start earlier; in the best week if none fits. */
  binds: { roleName: string; week: Range; minutes: number } | null;
}

/** A project, or an enquiry as the project it would be. */
export type StartOf = { projectId: string } | { enquiry: AsProjectQuery };

/** When a project could start, or what an enquiry would become. Null where there is no such project or enquiry. */
export function earliestAnswer(
  model: Model,
  { of, from, tolerance, pipeline = defaultCounting.pipeline }: StartLimits & { of: StartOf },
): EarliestAnswer | null {
  const found = placeOf(model, of);
  if (!found) return null;
  const weeks = [...earliestStarts(found.model, found.row, { ...defaultCounting, pipeline })].filter(({ start }) => start >= from);
  const at = weeks.findIndex(({ shortage }) => shortage <= tolerance);
  const least = weeks.reduce((best, own, place) => (own.shortage < (weeks[best]?.shortage ?? Number.POSITIVE_INFINITY) ? place : best), 0);
  const binds = weeks[at < 0 ? least : at - 1]?.binds ?? null;
  return {
    weeks: weeks.map(({ start, finish, shortage }) => ({ start, finish, shortage })),
    first: weeks[at] ?? null,
    binds: binds && { roleName: found.model.plan.roles[binds.role].name, week: binds.week, minutes: binds.minutes },
  };
}

function placeOf(model: Model, of: StartOf): { model: Model; row: number } | null {
  if ("enquiry" in of) return enquiryAsProject(model, of.enquiry);
  const row = rowById(model.plan.projects).get(of.projectId);
  return row === undefined ? null : { model, row };
}

/** The options that bring a start forward, with the name of the role or of the other project. */
export function soonerAnswer(model: Model, { of, ...limits }: StartLimits & { of: StartOf }): (SoonerWay & HelpNames)[] {
  const found = placeOf(model, of);
  if (!found) return [];
  return soonerWays(found.model, found.row, limits).map((way) => ({ ...way, ...helpNames(found.model, way.target, way.help) }));
}

/** The first week with one of them taken; null where it fits in none even then. */
export function startWithAnswer(
  model: Model,
  { of, way, ...limits }: StartLimits & { of: StartOf; way: SoonerWay },
): { first: EarliestWeek | null } {
  const found = placeOf(model, of);
  const week = found && startWith(found.model, found.row, way, limits);
  return { first: week && { start: week.start, finish: week.finish, shortage: week.shortage } };
}
