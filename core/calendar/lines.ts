// The working-time lines of all calendars of a plan, on one common origin.
import { rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { type Day, parseDay } from "./day.ts";
import { WorkingLine } from "./workingLine.ts";

/** Two years before the first date of the plan: bounds of the backward direction and elapsed lags may reach there. */
const MARGIN_DAYS = 731;

/** One line a calendar, by calendar row. */
export function workingLines(plan: Plan): WorkingLine[] {
  const origin = firstDay(plan, plan) - MARGIN_DAYS;
  return plan.calendars.map((calendar) => new WorkingLine(calendar, origin));
}

/** Gives the line of the calendar with an id. */
export function lineFinder(plan: Plan, lines: readonly WorkingLine[]): (calendarId: string) => WorkingLine {
  const rows = rowById(plan.calendars);
  return (id) => lines[rows.get(id) as number];
}

/** True where changed rows have moved the first date of a plan, and with it the origin of its lines.
 * @param changed What the rows were before and are now. */
export function originMoves(lines: readonly WorkingLine[], plan: Plan, changed: Partial<Dated>): boolean {
  const first = (lines[0]?.origin ?? 0) + MARGIN_DAYS;
  // Only a row at or before the first date can have been it, or be it now.
  return firstDay(plan, changed) <= first && firstDay(plan, plan) !== first;
}

/** The lists whose rows have dates that lines must reach. */
type Dated = Pick<Plan, "projects" | "tasks" | "assignments" | "expenses">;

function firstDay({ settings }: Plan, { projects = [], tasks = [], assignments = [], expenses = [] }: Partial<Dated>): Day {
  let first = parseDay(settings.planStart);
  const see = (date: string | undefined) => {
    if (date !== undefined) first = Math.min(first, parseDay(date));
  };
  for (const project of projects) see(project.start);
  for (const task of tasks) {
    see(task.start);
    see(task.notBefore);
    see(task.finishNotBefore);
  }
  for (const { from, custom } of assignments) {
    see(from);
    for (const bucket of custom ?? []) see(bucket.from);
  }
  for (const expense of expenses) see(expense.date ?? expense.from);
  return first;
}
