// The hours of a project or of a person as a grid: a row an assignment, a column a period, and the room of the person who works.

import { type BarFault, placeOf } from "../bars/moveBar.ts";
import { type Day, parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { levelBandOf, peopleSums, statesOf } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { customShift } from "../placing/place.ts";
import { placedIn } from "../placing/placements.ts";
import { findRow, flagsOf, membersOf, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { isRecordedPast } from "../progress/progress.ts";
import { lookUp } from "../values/lookUp.ts";

/** The subject of the grid: a project, or a person. */
export type HoursOf = { projectId: string } | { personId: string };

export interface HoursQuery extends ReportRange {
  of: HoursOf;
}

export interface HoursRow {
  assignmentId: string;
  taskId: string;
  taskName: string;
  projectId: string;
  projectName: string;
  /** Index of the project in the plan, for its hue. */
  projectRow: number;
  /** The person; of an opening the role. */
  who: string;
  personId: string | null;
  /** Minutes by period, and of the whole assignment. */
  minutes: number[];
  total: number;
  /** By period: 1 where the hours were typed. */
  typed: Uint8Array;
  /** By period: 1 where the hours are those that were recorded. */
  recorded: Uint8Array;
  /** The reason why the hours cannot be typed; null if they can. */
  fault: BarFault | null;
}

/** A person's capacity and load by period. */
export interface HoursPerson {
  name: string;
  capacity: Int32Array;
  load: Int32Array;
  /** An index in `periodStates`. */
  state: Uint8Array;
  /** Days on which their calendar differs from its week: public holidays, short days. */
  exceptions: { from: Day; to: Day; name: string }[];
}

export interface HoursGrid {
  /** The project's or the person's name. */
  name: string;
  periods: Range[];
  rows: HoursRow[];
  people: Record<string, HoursPerson>;
}

/** The grid of a window; null where the project or the person is not in the plan. Materials are left out. */
export function hoursGrid(model: Model, { of, range, grain }: HoursQuery): HoursGrid | null {
  const { plan, work } = model;
  const subject = "projectId" in of ? findRow(plan.projects, of.projectId) : findRow(plan.people, of.personId);
  if (!subject) return null;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const rows = ("projectId" in of ? rowsOfProject(model, of.projectId) : rowsOfPerson(model, of.personId)).flatMap((row) =>
    row < plan.assignments.length && work.isMaterial[row] === 0 ? [rowOf(model, row, periods)] : [],
  );
  const ids = [...new Set(["personId" in of ? of.personId : [], ...rows.map(({ personId }) => personId ?? [])].flat())];
  return { name: subject.name, periods, rows, people: peopleOf(model, ids, periods) };
}

/** Rows of work of a project, by its tasks in plan order. */
function rowsOfProject({ plan, work }: Model, projectId: string): number[] {
  return plan.tasks.flatMap((task, row) => (task.projectId === projectId ? [...membersOf(work.byTask, row)] : []));
}

/** Rows of a person's work, by the start of its task; what is done comes last. */
function rowsOfPerson({ plan, work, schedule }: Model, personId: string): number[] {
  const person = lookUp(rowById(plan.people), personId);
  const key = (row: number) => (plan.tasks[work.task[row]].state === "done" ? 1e7 : 0) + (schedule.of(work.task[row])?.start.day ?? 1e6);
  return [...membersOf(work.byPerson, person)].sort((a, b) => key(a) - key(b) || a - b);
}

function rowOf(model: Model, row: number, periods: readonly Range[]): HoursRow {
  const { plan, work, placements } = model;
  const assignment = plan.assignments[row];
  const task = plan.tasks[work.task[row]];
  const project = plan.projects[work.project[row]];
  const place = placeOf(model, assignment.id);
  const team = findRow(plan.teams, assignment.teamId);
  return {
    assignmentId: assignment.id,
    taskId: task.id,
    taskName: task.name,
    projectId: project.id,
    projectName: project.name,
    projectRow: work.project[row],
    who: findRow(plan.people, assignment.personId)?.name ?? team?.name ?? findRow(plan.roles, assignment.roleId)?.name ?? "",
    personId: assignment.personId ?? null,
    minutes: periods.map(({ start, stop }) => placedIn(placements, row, 10_000, start, stop)),
    total: placements.placed[row],
    typed: typedPeriods(model, row, periods),
    recorded: flagsOf(periods, (period) => isRecordedPast(model.progress, work.task[row], period)),
    fault: "fault" in place ? place.fault : null,
  };
}

function typedPeriods({ plan, work, schedule }: Model, row: number, periods: readonly Range[]): Uint8Array {
  const typed = new Uint8Array(periods.length);
  const assignment = plan.assignments[row];
  const dates = schedule.of(work.task[row]);
  if (!assignment.custom || !dates) return typed;
  const shift = customShift(assignment, dates);
  for (const { from, to } of assignment.custom) {
    const [start, stop] = [parseDay(from) + shift, parseDay(to) + 1 + shift];
    periods.forEach((period, at) => {
      if (period.start < stop && period.stop > start) typed[at] = 1;
    });
  }
  return typed;
}

function peopleOf(model: Model, ids: readonly string[], periods: readonly Range[]): Record<string, HoursPerson> {
  const { plan } = model;
  const rows = ids.map((id) => lookUp(rowById(plan.people), id));
  const sums = peopleSums(model, model.load(defaultCounting), rows, periods);
  const states = statesOf(sums, levelBandOf(plan));
  return Object.fromEntries(
    ids.map((id, at) => {
      const [from, to] = [at * periods.length, (at + 1) * periods.length];
      const { name, calendarId } = plan.people[rows[at]];
      const figures = { capacity: sums.capacity.slice(from, to), load: sums.load.slice(from, to), state: states.slice(from, to) };
      return [id, { name, ...figures, exceptions: exceptionsIn(plan, calendarId, periods) }];
    }),
  );
}

function exceptionsIn(plan: Plan, calendarId: string, periods: readonly Range[]): HoursPerson["exceptions"] {
  const [start, stop] = [periods[0]?.start ?? 0, periods.at(-1)?.stop ?? 0];
  return (findRow(plan.calendars, calendarId)?.exceptions ?? []).flatMap(({ from, to, name }) => {
    const days = { from: parseDay(from), to: parseDay(to) };
    return days.from < stop && days.to >= start ? [{ ...days, name }] : [];
  });
}
