// Earned value against a baseline: the values as in ANSI/EIA-748, the indexes as commonly taught with them.
import { type Day, parseDay } from "../calendar/day.ts";
import { lineFinder } from "../calendar/lines.ts";
import type { WorkingLine } from "../calendar/workingLine.ts";
import type { Placed } from "../placing/placed.ts";
import { rowById } from "../plan/rows.ts";
import type { Baseline } from "../plan/schema.ts";
import { quotientHalfUp } from "../values/units.ts";

/** The promise of a baseline about a task or a project, in minutes and minor units. */
export interface Promised {
  start: Day | null;
  finish: Day | null;
  minutes: number;
  cost: number;
  /** The cost of past days. */
  planned: number;
  earned: number;
}

/** The figures of earned value; amounts in minor units, indexes in ten-thousandths, null where they would divide by 0. */
export interface EarnedValue {
  plannedValue: number;
  earnedValue: number;
  scheduleVariance: number;
  costVariance: number;
  spi: number | null;
  cpi: number | null;
  atCompletion: number;
  atCompletionByIndex: number | null;
  varianceAtCompletion: number;
  tcpi: number | null;
}

/** The promises of a baseline by task and project row of a plan, summaries and projects with all that is below them. */
export interface Promises {
  tasks: Promised[];
  /** Null for a project that the baseline does not hold. */
  projects: (Promised | null)[];
}

const nothing = (): Promised => ({ start: null, finish: null, minutes: 0, cost: 0, planned: 0, earned: 0 });

/** Earned value from the budget at completion of a promise, what was spent, and what is still to come. */
export function earnedValue({ cost: budget, planned, earned }: Promised, actualCost: number, remainingCost: number): EarnedValue {
  const atCompletion = actualCost + remainingCost;
  return {
    plannedValue: planned,
    earnedValue: earned,
    scheduleVariance: earned - planned,
    costVariance: earned - actualCost,
    spi: quotient(10_000, earned, planned),
    cpi: quotient(10_000, earned, actualCost),
    atCompletion,
    atCompletionByIndex: quotient(budget, actualCost, earned),
    varianceAtCompletion: budget - atCompletion,
    tcpi: actualCost >= budget ? null : quotient(10_000, budget - earned, budget - actualCost),
  };
}

/** a × b ÷ divisor, rounded half up; null where the divisor is 0. */
function quotient(a: number, b: number, divisor: number): number | null {
  if (divisor === 0) return null;
  const sign = divisor < 0 ? -1n : 1n;
  return Number(quotientHalfUp(BigInt(a) * BigInt(b) * sign, BigInt(divisor) * sign));
}

/** The promises of a baseline about every task and project that is in the plan.
 * @param percent Hundredths of a percent complete, by task row. */
export function promisesOf({ plan, schedule, progress }: Placed, baseline: Baseline, percent: Int32Array): Promises {
  const { graph, project: projectOf } = schedule.network;
  const [taskRows, projectRows] = [rowById(plan.tasks), rowById(plan.projects)];
  const promises: Promises = { tasks: plan.tasks.map(nothing), projects: plan.projects.map(() => null) };
  for (const { projectId, start, finish, days } of baseline.projects) {
    const row = projectRows.get(projectId);
    if (row === undefined) continue;
    const own = nothing();
    [own.start, own.finish] = [parseDay(start), parseDay(finish)];
    for (const [date, minor] of days) {
      own.cost += minor;
      if (parseDay(date) < progress.status) own.planned += minor;
    }
    // The cost that belongs to no task is earned as it was planned.
    own.earned = own.planned;
    promises.projects[row] = own;
  }
  for (const row of baseline.tasks) {
    const own = promiseOf(row, progress.status);
    const task = taskRows.get(row.taskId);
    if (task !== undefined) own.earned = Number(quotientHalfUp(BigInt(own.cost) * BigInt(percent[task]), 10_000n));
    for (let at = task ?? -1; at >= 0; at = graph.parent[at]) add(promises.tasks[at], own, true);
    const project = task === undefined ? projectRows.get(row.projectId) : projectOf[task];
    const whole = project === undefined ? null : promises.projects[project];
    if (whole) add(whole, own, false);
  }
  return promises;
}

function promiseOf({ start, finish, unplaced, days }: Baseline["tasks"][number], status: Day): Promised {
  const own = nothing();
  own.start = start === undefined ? null : parseDay(start);
  own.finish = finish === undefined ? null : parseDay(finish);
  own.minutes = unplaced;
  for (const [date, minutes, minor] of days) {
    own.minutes += minutes;
    own.cost += minor;
    if (parseDay(date) < status) own.planned += minor;
  }
  return own;
}

/** Adds a promise to what is above it. @param withDates True where its dates widen those above it. */
function add(into: Promised, own: Promised, withDates: boolean): void {
  into.minutes += own.minutes;
  into.cost += own.cost;
  into.planned += own.planned;
  into.earned += own.earned;
  if (!withDates) return;
  if (own.start !== null) into.start = Math.min(own.start, into.start ?? own.start);
  if (own.finish !== null) into.finish = Math.max(own.finish, into.finish ?? own.finish);
}

/** Working days from one start to another on a line, a start read on the next working day; null where either is not known. */
export const startDays = (line: WorkingLine, now: Day | null, then: Day | null): number | null =>
  now === null || then === null ? null : line.indexOf(now) - line.indexOf(then);

/** The same of finishes, read on the working day before. */
export const finishDays = (line: WorkingLine, now: Day | null, then: Day | null): number | null =>
  now === null || then === null ? null : line.indexOf(now + 1) - line.indexOf(then + 1);

/** The working line of a project's own calendar. */
export const lineOfProject = ({ plan, lines }: Placed, project: number): WorkingLine =>
  lineFinder(plan, lines)(plan.projects[project].calendarId);
