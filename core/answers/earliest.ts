// When a project could start: the curve of what its roles would lack, week by week, and what binds.
import type { Range } from "../calendar/periods.ts";
import { type AsProjectQuery, enquiryAsProject } from "../entry/enquiryProject.ts";
import { earliestStarts } from "../forecast/earliest.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";

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
  /** What lacks most in the week before the first, which is why it is not sooner; in the best week where none fits. */
  binds: { roleName: string; week: Range; minutes: number } | null;
}

/** @param from Weeks before it are over.
 * @param tolerance Minutes that may lack. Null where there is no such project. */
export function earliestAnswer(
  model: Model,
  { projectId, from, tolerance }: { projectId: string; from: number; tolerance: number },
): EarliestAnswer | null {
  const row = rowById(model.plan.projects).get(projectId);
  if (row === undefined) return null;
  const weeks = [...earliestStarts(model, row)].filter(({ start }) => start >= from);
  const at = weeks.findIndex(({ shortage }) => shortage <= tolerance);
  const least = weeks.reduce((best, own, place) => (own.shortage < (weeks[best]?.shortage ?? Number.POSITIVE_INFINITY) ? place : best), 0);
  const binds = weeks[at < 0 ? least : at - 1]?.binds ?? null;
  return {
    weeks: weeks.map(({ start, finish, shortage }) => ({ start, finish, shortage })),
    first: weeks[at] ?? null,
    binds: binds && { roleName: model.plan.roles[binds.role].name, week: binds.week, minutes: binds.minutes },
  };
}

/** The same of an enquiry, as the project it would be. */
export function enquiryEarliest(
  model: Model,
  { from, tolerance, ...query }: AsProjectQuery & { from: number; tolerance: number },
): EarliestAnswer | null {
  const found = enquiryAsProject(model, query);
  return found && earliestAnswer(found.model, { projectId: found.model.plan.projects[found.row].id, from, tolerance });
}
