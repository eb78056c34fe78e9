// The working-time lines of all calendars of a plan, on one common origin.

import { rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { lookUp } from "../values/lookUp.ts";
import { parseDay } from "./day.ts";
import { WorkingLine } from "./workingLine.ts";

/** One line a calendar, by calendar row. */
export function workingLines(plan: Plan): WorkingLine[] {
  const origin = parseDay(plan.settings.planStart);
  return plan.calendars.map((calendar) => new WorkingLine(calendar, origin));
}

/** Gives the line of the calendar with an id. */
export function lineFinder(plan: Plan, lines: readonly WorkingLine[]): (calendarId: string) => WorkingLine {
  const rows = rowById(plan.calendars);
  return (id) => lines[lookUp(rows, id)];
}
