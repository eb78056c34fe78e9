// A person's week: planned and recorded hours by day, what remains of each task, and the state of it all.
import { type Day, parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { TimeEntry } from "../plan/schema.ts";
import { type TimesheetRow, timesheetOf } from "../status/timesheet.ts";

export interface WeekRow extends TimesheetRow {
  /** The task or the activity. */
  key: string;
  name: string;
  projectName: string;
  /** Row of the project, for its colour; −1 of an activity. */
  projectRow: number;
  /** The person's own assignment on the task, and the minutes that remain of it; null where there is none. */
  assignmentId: string | null;
  remaining: number | null;
  isDone: boolean;
  /** The reason why hours of it were returned; null if none were. */
  reason: string | null;
}

export interface Week {
  personId: string;
  name: string;
  start: Day;
  today: Day;
  /** The last day of the closed months; null for none. */
  closedUntil: Day | null;
  days: Day[];
  capacity: number[];
  recorded: number[];
  /** Returned lines first, then tasks in plan order, then activities. */
  rows: WeekRow[];
  /** Ids of the entries in each state. */
  ids: Record<TimeEntry["state"], string[]>;
}

export interface WeekQuery {
  personId: string;
  /** Any day of the week. */
  day: Day;
  /** Rows that are added and have no hours yet. */
  added: readonly { taskId?: string; activity?: string }[];
}

/** The week of a person; null for an unknown one. */
export function weekOf(model: Model, { personId, day, added }: WeekQuery): Week | null {
  const { plan, progress } = model;
  const start = periodStart(day, "week", periodSettingsOf(plan));
  const sheet = timesheetOf(model, personId, { start, stop: start + 7 });
  if (!sheet) return null;
  const known = new Set(sheet.rows.map(keyOf));
  const nothing = { planned: zeros(), recorded: zeros(), states: empty<TimeEntry["state"]>(), entries: empty<TimeEntry>() };
  const more = added.filter((own) => !known.has(keyOf(own))).map((own): TimesheetRow => ({ ...own, ...nothing }));
  const rows = [...sheet.rows, ...more].map((row) => weekRow(model, personId, row));
  const ids: Week["ids"] = { draft: [], submitted: [], approved: [], returned: [] };
  for (const { entries } of rows) for (const { id, state } of entries.flat()) ids[state].push(id);
  return {
    personId,
    name: findRow(plan.people, personId)?.name ?? personId,
    start,
    today: progress.status,
    closedUntil: plan.settings.closedUntil === undefined ? null : parseDay(plan.settings.closedUntil),
    days: sheet.days,
    capacity: sheet.capacity,
    recorded: sheet.recorded,
    rows: [...rows.filter(({ reason }) => reason !== null), ...rows.filter(({ reason }) => reason === null)],
    ids,
  };
}

const zeros = (): number[] => new Array<number>(7).fill(0);
const empty = <T>(): T[][] => Array.from({ length: 7 }, () => []);

const keyOf = ({ taskId, activity }: { taskId?: string; activity?: string }): string =>
  taskId === undefined ? `activity ${activity}` : `task ${taskId}`;

function weekRow(model: Model, personId: string, row: TimesheetRow): WeekRow {
  const { plan, placements, progress } = model;
  const returned = row.entries.flat().find(({ state }) => state === "returned");
  const base = { ...row, key: keyOf(row), reason: returned ? (returned.reason ?? "") : null };
  const task = findRow(plan.tasks, row.taskId);
  if (!task)
    return {
      ...base,
      name: row.activity ?? "",
      projectName: "",
      projectRow: -1,
      assignmentId: null,
      remaining: null,
      isDone: false,
    };
  const projectRow = rowById(plan.projects).get(task.projectId) ?? -1;
  const at = plan.assignments.findIndex((own) => own.taskId === task.id && own.personId === personId);
  return {
    ...base,
    name: task.name,
    projectName: plan.projects[projectRow]?.name ?? "",
    projectRow,
    assignmentId: plan.assignments[at]?.id ?? null,
    remaining: at < 0 ? null : Math.max(0, placements.asked[at] - progress.actual[at]),
    isDone: task.state === "done",
  };
}
