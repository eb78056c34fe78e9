// Hours that wait for approval, and those that were approved lately: by person and week, with what is unusual about each line.
import { type Day, parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodStart } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { timesheetOf } from "../status/timesheet.ts";
import { workMinutes } from "../values/units.ts";

/** The reasons why a line deserves a look. */
export type Unusual = "onLeave" | "overCapacity" | "unplanned" | "done" | "moreThanRemained";

export interface ApprovalLine {
  key: string;
  personId: string;
  person: string;
  /** The first day of the week. */
  week: Day;
  taskId: string | null;
  /** The task, or the activity. */
  name: string;
  projectName: string;
  projectRow: number;
  /** Minutes of the week. */
  planned: number;
  recorded: number;
  /** The entries in the state that is asked for. */
  ids: string[];
  /** Their notes, in the order of the days. */
  notes: string[];
  unusual: Unusual[];
}

/** Hours that wait for approval, or those that have it. */
export type ApprovalState = "submitted" | "approved";

/** Weeks whose approved lines are listed. */
const WEEKS_BACK = 8;

/** Submitted or lately approved lines, unusual ones first, then by person, week and task in plan order. */
export function approvalsOf(model: Model, state: ApprovalState): ApprovalLine[] {
  const { plan } = model;
  const settings = periodSettingsOf(plan);
  const weeks = new Map<string, { personId: string; week: Day }>();
  const first = model.progress.status - 7 * WEEKS_BACK;
  for (const { personId, date, state: own } of plan.timeEntries) {
    if (own !== state || (state === "approved" && parseDay(date) < first)) continue;
    const week = periodStart(parseDay(date), "week", settings);
    weeks.set(`${personId} ${week}`, { personId, week });
  }
  const people = rowById(plan.people);
  const lines = [...weeks.values()]
    .sort((a, b) => (people.get(a.personId) ?? 0) - (people.get(b.personId) ?? 0) || a.week - b.week)
    .flatMap(({ personId, week }) => linesOfWeek(model, personId, week, state));
  return [...lines.filter(({ unusual }) => unusual.length > 0), ...lines.filter(({ unusual }) => unusual.length === 0)];
}

function linesOfWeek(model: Model, personId: string, week: Day, asked: ApprovalState): ApprovalLine[] {
  const { plan, placements, progress } = model;
  const sheet = timesheetOf(model, personId, { start: week, stop: week + 7 });
  const person = findRow(plan.people, personId);
  if (!sheet || !person) return [];
  const overDays = sheet.recorded.map((minutes, at) => minutes > sheet.capacity[at]);
  return sheet.rows.flatMap((row): ApprovalLine[] => {
    const entries = row.entries.flat().filter(({ state }) => state === asked);
    if (entries.length === 0) return [];
    const task = findRow(plan.tasks, row.taskId);
    const recorded = entries.reduce((sum, { hours }) => sum + workMinutes(hours), 0);
    const planned = row.planned.reduce((sum, minutes) => sum + minutes, 0);
    const projectRow = rowById(plan.projects).get(task?.projectId ?? "") ?? -1;
    const at = plan.assignments.findIndex((own) => own.taskId === row.taskId && own.personId === personId);
    const days = entries.map(({ date }) => parseDay(date) - week);
    const unusual: Unusual[] = [];
    if (days.some((day) => isOnLeave(model, personId, week + day))) unusual.push("onLeave");
    else if (days.some((day) => overDays[day])) unusual.push("overCapacity");
    if (task && planned === 0) unusual.push("unplanned");
    if (task?.state === "done") unusual.push("done");
    if (asked === "submitted" && at >= 0 && task?.state !== "done" && recorded > placements.asked[at] - progress.actual[at])
      unusual.push("moreThanRemained");
    return [
      {
        key: `${personId} ${week} ${row.taskId ?? row.activity}`,
        personId,
        person: person.name,
        week,
        taskId: row.taskId ?? null,
        name: task?.name ?? row.activity ?? "",
        projectName: plan.projects[projectRow]?.name ?? "",
        projectRow,
        planned,
        recorded,
        ids: entries.map(({ id }) => id),
        notes: entries.flatMap(({ note }) => note ?? []),
        unusual,
      },
    ];
  });
}

/** True of a day that approved leave of the person covers as a whole. */
function isOnLeave({ plan }: Model, personId: string, day: Day): boolean {
  const { timeOff = [] } = findRow(plan.people, personId) ?? {};
  return timeOff.some(
    ({ from, to, state, hoursPerDay }) => state === "approved" && hoursPerDay === undefined && parseDay(from) <= day && parseDay(to) >= day,
  );
}
