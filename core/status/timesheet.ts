// The timesheet of a person: planned and recorded minutes of each day, by task and activity.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { buildModel, type Model } from "../model.ts";
import { addPlaced } from "../placing/placements.ts";
import { membersOf, rowById } from "../plan/rows.ts";
import type { Plan, Task, TimeEntry } from "../plan/schema.ts";
import { FINISHED, NO_DAY } from "../progress/progress.ts";
import { isTracked } from "../recorded/actuals.ts";
import { workMinutes } from "../values/units.ts";

const states: readonly TimeEntry["state"][] = ["draft", "submitted", "returned", "approved"];

/** A line of a timesheet; minutes by day. */
export interface TimesheetRow {
  taskId?: string;
  activity?: string;
  planned: number[];
  /** Entries of every state but returned. */
  recorded: number[];
  /** The states of each day's entries, in a fixed order. */
  states: TimeEntry["state"][][];
  /** The entries of each day. */
  entries: TimeEntry[][];
}

export interface Timesheet {
  days: Day[];
  capacity: number[];
  /** Tasks in plan order, then activities by name. */
  rows: TimesheetRow[];
  recorded: number[];
}

/** Minutes of a person by day: planned, and recorded in any state but returned. Null for an unknown person. */
export function timesheetOf(model: Model, personId: string, range: Range): Timesheet | null {
  const { plan } = model;
  const person = rowById(plan.people).get(personId);
  if (person === undefined) return null;
  const days = Array.from({ length: range.stop - range.start }, (_, at) => range.start + at);
  const entries = plan.timeEntries.filter((entry) => {
    const day = parseDay(entry.date);
    return entry.personId === personId && day >= range.start && day < range.stop;
  });
  const planned = plannedByTask(model, person, range);
  const withEntries = new Set(entries.flatMap(({ taskId }) => taskId ?? []));
  const tasks = plan.tasks.flatMap(({ id }, row) => {
    const own = planned.get(row);
    if (!own?.some((minutes) => minutes > 0) && !withEntries.has(id)) return [];
    const recorded = entries.filter(({ taskId }) => taskId === id);
    return [{ taskId: id, planned: [...(own ?? zeros(days))], ...recordedOf(recorded, days) }];
  });
  const activities = [...new Set(entries.flatMap(({ activity }) => activity ?? []))].sort(byCodePoints).map((activity) => ({
    activity,
    planned: zeros(days),
    ...recordedOf(
      entries.filter((entry) => entry.activity === activity),
      days,
    ),
  }));
  const { regular, overtime, at } = model.capacity.of(person, range.start, range.stop);
  return {
    days,
    capacity: days.map((_, i) => regular[at + i] + overtime[at + i]),
    rows: [...tasks, ...activities],
    recorded: recordedOf(entries, days).recorded,
  };
}

const zeros = (days: readonly Day[]): number[] => days.map(() => 0);

/** By code points, not by the code units of the language. */
function byCodePoints(a: string, b: string): number {
  const [own, other] = [[...a], [...b]];
  for (let i = 0; i < Math.min(own.length, other.length); i++) {
    const difference = (own[i].codePointAt(0) ?? 0) - (other[i].codePointAt(0) ?? 0);
    if (difference !== 0) return difference;
  }
  return own.length - other.length;
}

function recordedOf(entries: readonly TimeEntry[], days: readonly Day[]) {
  const recorded = zeros(days);
  const found = days.map(() => new Set<TimeEntry["state"]>());
  for (const { date, hours, state } of entries) {
    const at = parseDay(date) - days[0];
    found[at].add(state);
    if (state !== "returned") recorded[at] += workMinutes(hours);
  }
  return {
    recorded,
    states: found.map((own) => states.filter((state) => own.has(state))),
    entries: days.map((day) => entries.filter(({ date }) => parseDay(date) === day)),
  };
}

/** Planned minutes by task row: of past days as the plan was when the range began, of later days as it is now. */
function plannedByTask(model: Model, person: number, range: Range): Map<number, Int32Array> {
  const { status } = model.progress;
  const planned = new Map<number, Int32Array>();
  if (range.start < status) {
    const past = { start: range.start, stop: Math.min(range.stop, status) };
    addPlanned(modelAsOf(model, range.start), person, past, range, planned);
  }
  addPlanned(model, person, { start: Math.max(range.start, status), stop: range.stop }, range, planned);
  return planned;
}

function addPlanned(model: Model, person: number, { start, stop }: Range, range: Range, planned: Map<number, Int32Array>): void {
  if (stop <= start) return;
  const { shares } = model.load(defaultCounting);
  for (const row of membersOf(model.work.byPerson, person)) {
    const task = model.work.task[row];
    const own = planned.get(task) ?? new Int32Array(range.stop - range.start);
    addPlaced(model.placements, row, shares[row], start, stop, own, start - range.start);
    planned.set(task, own);
  }
}

/** The plan with the status date set to a day of the past: what became known later is not read. */
function modelAsOf(model: Model, day: Day): Model {
  const { plan, progress } = model;
  const date = formatDay(day);
  const projects = rowById(plan.projects);
  const reopened = new Set<string>();
  const tasks = plan.tasks.map((task, row): Task => {
    const project = plan.projects[projects.get(task.projectId) ?? -1];
    if (!isTracked(project)) return task;
    const isFinished = progress.stage[row] === FINISHED;
    const isOpen = isFinished && progress.actualFinish[row] !== NO_DAY && progress.actualFinish[row] >= day;
    const { actualStart, actualFinish, percentComplete, ...rest } = task;
    const begun = actualStart !== undefined && actualStart <= date ? { actualStart } : {};
    if (isOpen) {
      reopened.add(project.id);
      return { ...rest, ...begun, state: "underWay" };
    }
    return {
      ...rest,
      ...begun,
      ...(isFinished && { state: "done" as const }),
      ...(actualFinish !== undefined && { actualFinish }),
      ...(percentComplete !== undefined && { percentComplete }),
    };
  });
  const past: Plan = {
    ...plan,
    settings: { ...plan.settings, today: date },
    tasks,
    projects: plan.projects.map((project) =>
      reopened.has(project.id) && project.stage === "done" ? { ...project, stage: "active" } : project,
    ),
    assignments: plan.assignments.map((assignment) => {
      const { remaining, ...rest } = assignment;
      return remaining && remaining.asOf > date ? rest : assignment;
    }),
  };
  return buildModel(past, model.recorded);
}
