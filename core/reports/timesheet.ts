// The timesheet of a person, as the command line prints it.
import { formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { timesheetOf } from "../status/timesheet.ts";

/** The timesheet with dates; null for an unknown person. */
export function timesheetReport(model: Model, personId: string, range: Range) {
  const sheet = timesheetOf(model, personId, range);
  return sheet && { ...sheet, days: sheet.days.map(formatDay), rows: sheet.rows.map(({ entries: _, ...row }) => row) };
}
