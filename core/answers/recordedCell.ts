// Planned and recorded hours of a person on days that have passed, task by task.
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { timesheetOf } from "../status/timesheet.ts";

export interface RecordedRow {
  /** The task, or the activity. */
  name: string;
  /** Index of the project in the plan; −1 of an activity. */
  projectRow: number;
  /** Minutes: as the plan was when the period began, and as people recorded them in any state but returned. */
  planned: number;
  recorded: number;
}

/** The days of a range before the status date; null for an unknown person, and where none has passed. */
export function recordedCell(model: Model, { personId, range }: { personId: string; range: Range }): RecordedRow[] | null {
  const past = { start: range.start, stop: Math.min(range.stop, model.progress.status) };
  const sheet = past.stop > past.start ? timesheetOf(model, personId, past) : null;
  if (!sheet) return null;
  return sheet.rows.map(({ taskId, activity = "", planned, recorded }): RecordedRow => {
    const task = findRow(model.plan.tasks, taskId);
    return {
      name: task?.name ?? activity,
      projectRow: task ? (rowById(model.plan.projects).get(task.projectId) ?? -1) : -1,
      planned: sum(planned),
      recorded: sum(recorded),
    };
  });
}

const sum = (minutes: readonly number[]): number => minutes.reduce((all, own) => all + own, 0);
