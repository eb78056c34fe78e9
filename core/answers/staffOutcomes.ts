// The outcomes of adding or removing a person on effort-sized work: the finish changes, the daily hours, or the amount of work.
// Every outcome is tried on a copy of the plan.
import type { Day } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Assignment } from "../plan/schema.ts";
import { updateModel } from "../update/update.ts";
import { lookUp } from "../values/lookUp.ts";

export type StaffWay = "open" | "finish" | "daily" | "work";

/** One outcome, with its figures. */
export interface StaffOutcome {
  way: StaffWay;
  edit: Edit;
  start: Day;
  finish: Day;
  /** Minutes all people on the task work on an average working day of it. */
  daily: number;
  /** Minutes of the task in total, open ones included. */
  effort: number;
  projectFinish: Day;
  /** A person would have to give more than a whole day. */
  isBeyondDay: boolean;
}

export interface StaffOutcomes {
  before: Omit<StaffOutcome, "way" | "edit" | "isBeyondDay">;
  outcomes: StaffOutcome[];
}

/** A person who joins: an assignment without hours, its `percent` their share of the day; or the id of one who leaves. */
export type StaffQuery = { taskId: string } & ({ joins: Assignment } | { leaves: string });

const HIGHEST_SHARE = 1000;

/** The outcomes of a person joining or leaving; null where the task is not effort-sized or has nobody to share with. */
export function staffOutcomes(model: Model, query: StaffQuery): StaffOutcomes | null {
  const { plan } = model;
  const task = findRow(plan.tasks, query.taskId);
  if (task?.sizing !== "effort" || !model.schedule.of(lookUp(rowById(plan.tasks), task.id))) return null;
  const labour = plan.assignments.filter(({ taskId, materialId }) => taskId === task.id && materialId === undefined);
  const stay = "leaves" in query ? labour.filter(({ id }) => id !== query.leaves) : labour;
  if (stay.length === 0 || ("leaves" in query && stay.length === labour.length)) return null;
  const trial = new Trial(model, task.id);
  const total = sum(labour);
  const open = Math.max(0, (task.effortHours ?? 0) - total);
  const staff = "joins" in query ? [...stay, { ...query.joins, hours: 0 }] : stay;
  const shared = shareOut(staff, total);
  const outcomes = [trial.run("finish", shared)];
  const held = holdFinish(trial, shared, trial.before.finish);
  if (held) outcomes.push(trial.run("daily", held));
  if ("joins" in query) {
    if (open > 0) outcomes.unshift(trial.run("open", [...stay, { ...query.joins, hours: open }]));
    const brought = whatFits(trial, stay, query.joins);
    outcomes.push(trial.run("work", [...stay, { ...query.joins, hours: brought }], (task.effortHours ?? 0) + brought));
  } else {
    const left = total - sum(stay);
    outcomes.push(trial.run("work", stay, Math.max(0, (task.effortHours ?? 0) - left)));
  }
  return { before: trial.before, outcomes: outcomes.filter((outcome) => outcome !== null) };
}

class Trial {
  readonly before: StaffOutcomes["before"];

  constructor(
    readonly model: Model,
    readonly taskId: string,
  ) {
    this.before = this.#measure(model);
  }

  /** Tries a staffing; null where the plan does not allow it, or where the work would never finish. */
  run(way: StaffWay, rows: Assignment[], effort?: number): StaffOutcome | null {
    const task = findRow(this.model.plan.tasks, this.taskId);
    const effortHours = task?.effortHours === undefined || effort === undefined ? undefined : round(effort);
    const edit: Edit = { kind: "setStaff", taskId: this.taskId, rows, ...(effortHours !== undefined && { effortHours }) };
    const outcome = applyEdit(this.model.plan, edit);
    if (!outcome.plan) return null;
    const next = updateModel(this.model, outcome.plan, outcome.changes);
    const row = lookUp(rowById(next.plan.tasks), this.taskId);
    if ([...(next.schedule.of(row)?.consumed?.values() ?? [])].includes(null)) return null;
    return { way, edit, ...this.#measure(next), isBeyondDay: rows.some(({ percent = 100 }) => percent > 100) };
  }

  #measure({ plan, schedule, placements, work }: Model): StaffOutcomes["before"] {
    const row = lookUp(rowById(plan.tasks), this.taskId);
    const dates = schedule.of(row);
    if (!dates) throw new Error("an effort-sized task has dates");
    let [placed, effort] = [0, 0];
    for (let at = work.byTask.first[row]; at < work.byTask.first[row + 1]; at++) {
      const own = work.byTask.members[at];
      effort += placements.asked[own];
      if (own < work.assignments) placed += placements.placed[own];
    }
    const days = dates.line.indexOf(dates.finish.day + 1) - dates.line.indexOf(dates.start.day);
    return {
      start: dates.start.day,
      finish: dates.finish.day,
      daily: days === 0 ? 0 : Math.round(placed / days),
      effort,
      projectFinish: schedule.projects[work.project[work.byTask.members[work.byTask.first[row]]]].finish.day,
    };
  }
}

/** The hours of a task shared out among its people by their share of the day, to the hundredth; the last takes the rest. */
function shareOut(rows: readonly Assignment[], total: number): Assignment[] {
  const whole = rows.reduce((shares, { percent = 100 }) => shares + percent, 0);
  let [given, passed] = [0, 0];
  return rows.map((row) => {
    passed += row.percent ?? 100;
    const upTo = round((total * passed) / whole);
    const hours = round(upTo - given);
    given = upTo;
    return { ...row, hours };
  });
}

/** The least share of the day, the same factor for all, with which the work finishes no later than on a day. */
function holdFinish(trial: Trial, rows: readonly Assignment[], finish: Day): Assignment[] | null {
  const scaled = (factor: number) =>
    rows.map(
      (row): Assignment => ({ ...row, percent: Math.min(HIGHEST_SHARE, Math.max(1, Math.round(((row.percent ?? 100) * factor) / 100))) }),
    );
  const holds = (factor: number) => (trial.run("daily", scaled(factor))?.finish ?? Number.POSITIVE_INFINITY) <= finish;
  if (!holds(HIGHEST_SHARE)) return null;
  let [below, enough] = [0, HIGHEST_SHARE];
  while (enough - below > 1) {
    const middle = Math.floor((below + enough) / 2);
    if (holds(middle)) enough = middle;
    else below = middle;
  }
  return scaled(enough);
}

/** The most hours that an added person can work without moving the finish, to the quarter of an hour. */
function whatFits(trial: Trial, stay: readonly Assignment[], joins: Assignment): number {
  const holds = (quarters: number) => {
    const outcome = trial.run("work", [...stay, { ...joins, hours: quarters / 4 }]);
    return outcome !== null && outcome.finish <= trial.before.finish;
  };
  let [fits, breaks] = [0, 4 * 24 * 3660];
  while (breaks - fits > 1) {
    const middle = Math.floor((fits + breaks) / 2);
    if (holds(middle)) fits = middle;
    else breaks = middle;
  }
  return fits / 4;
}

const sum = (rows: readonly Assignment[]): number => rows.reduce((hours, row) => hours + (row.hours ?? 0), 0);
const round = (hours: number): number => Math.round(hours * 100) / 100;
