// The report of when a project could start: the curve of what is lacking over the weeks of the horizon.
import { formatDay } from "../calendar/day.ts";
import { earliestStarts } from "../forecast/earliest.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";

/** @param tolerance Accepted shortage in minutes.
 * @returns Null where there is no such project. `first` is left out where no week is within the tolerance. */
export function earliestReport(model: Model, projectId: string, tolerance: number) {
  const row = rowById(model.plan.projects).get(projectId);
  if (row === undefined) return null;
  const weeks = [...earliestStarts(model, row)].map(({ start, finish, shortage }) => ({
    start: formatDay(start),
    finish: formatDay(finish),
    shortageMinutes: shortage,
  }));
  const first = weeks.find(({ shortageMinutes }) => shortageMinutes <= tolerance);
  return { weeks, ...(first && { first: first.start }) };
}
