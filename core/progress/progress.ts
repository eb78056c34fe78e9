// The progress of a plan: how far each task is, and what is left of each assignment at the status date.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { rowById } from "../plan/rows.ts";
import type { Assignment, Plan } from "../plan/schema.ts";
import { type ActualLine, isTracked, statusDayOf } from "../recorded/actuals.ts";
import type { Recorded } from "../recorded/recorded.ts";
import { workMinutes } from "../values/units.ts";
import { CUSTOM, HOURS } from "../work/statement.ts";
import type { Work } from "../work/work.ts";

/** The stages of a leaf: of a project that is not tracked it has none. */
export const [UNTRACKED, NOT_STARTED, UNDER_WAY, FINISHED] = [0, 1, 2, 3];

/** Stands for a day that is not known. */
export const NO_DAY: Day = -(2 ** 31);

/** Stands for remaining minutes that a rule decides, such as hours a day. */
export const BY_RULE = -1;

/** Progress by row; minutes are whole. */
export interface Progress {
  /** The status date; a day before it is past. */
  status: Day;
  /** True if any project is tracked. */
  isTracked: boolean;
  /** By task row. */
  stage: Uint8Array;
  actualStart: Int32Array;
  /** Of finished tasks. */
  actualFinish: Int32Array;
  /** Actual minutes of the task, unplanned ones included. */
  actualOfTask: Int32Array;
  /** Minutes that the task's labour states in hours, and those that remain of them. */
  statedHours: Int32Array;
  remainingHours: Int32Array;
  /** By work row: actual minutes; those of a team's members are in rows of their own. */
  actual: Int32Array;
  /** Remaining minutes, or `BY_RULE`. */
  remaining: Int32Array;
  /** 1 where the remaining hours are stated. */
  isStated: Uint8Array;
  /** The days of the actual minutes, of the rows that have any. */
  lines: ReadonlyMap<number, ActualLine>;
}

/** True of a period whose hours of a task are those that were recorded: they change where they were recorded, and nowhere else. */
export const isRecordedPast = ({ stage, status }: Pick<Progress, "stage" | "status">, task: number, period: Range): boolean =>
  stage[task] !== UNTRACKED && period.stop <= status;

/** The progress of a plan whose work is laid out.
 * @param lines The actual lines that `work` was laid out with. */
export function progressOf(plan: Plan, work: Work, recorded: Recorded, lines: readonly ActualLine[]): Progress {
  const tasks = plan.tasks.length;
  const progress: Progress & { lines: Map<number, ActualLine> } = {
    status: statusDayOf(plan, recorded),
    isTracked: plan.projects.some(isTracked),
    stage: new Uint8Array(tasks),
    actualStart: new Int32Array(tasks).fill(NO_DAY),
    actualFinish: new Int32Array(tasks).fill(NO_DAY),
    actualOfTask: new Int32Array(tasks),
    statedHours: new Int32Array(tasks),
    remainingHours: new Int32Array(tasks),
    actual: new Int32Array(work.rows),
    remaining: new Int32Array(work.rows).fill(BY_RULE),
    isStated: new Uint8Array(work.rows),
    lines: new Map(),
  };
  if (!progress.isTracked) return progress;
  const recordedRow = { next: work.firstRecorded };
  const byAssignment = new Map<number, ActualLine[]>();
  const span = new Map<number, { first: Day; last: Day }>();
  for (const line of lines) {
    const row = line.assignment >= 0 && !line.isOfTeam ? line.assignment : recordedRow.next++;
    progress.lines.set(row, line);
    const sum = line.minutes.reduce((all, own) => all + own, 0);
    progress.actual[row] = sum;
    progress.actualOfTask[line.task] += sum;
    if (line.assignment >= 0) byAssignment.set(line.assignment, [...(byAssignment.get(line.assignment) ?? []), line]);
    const known = span.get(line.task);
    const [first, last] = [line.days[0], line.days[line.days.length - 1]];
    span.set(line.task, { first: Math.min(first, known?.first ?? first), last: Math.max(last, known?.last ?? last) });
  }
  const projects = rowById(plan.projects);
  plan.tasks.forEach((task, row) => {
    const project = plan.projects[projects.get(task.projectId) ?? -1];
    if (isTracked(project)) writeStage(progress, plan, row, project.stage === "done", span.get(row));
  });
  for (let row = 0; row < work.assignments; row++) writeRemaining(progress, plan, work, row, byAssignment.get(row) ?? []);
  return progress;
}

function writeStage(
  progress: Progress,
  plan: Plan,
  row: number,
  isProjectDone: boolean,
  span: { first: Day; last: Day } | undefined,
): void {
  const { actualStart, actualFinish, state } = plan.tasks[row];
  const isFinished = state === "done" || isProjectDone;
  const finish = isFinished && actualFinish !== undefined ? parseDay(actualFinish) : undefined;
  const start = actualStart === undefined ? (span?.first ?? finish) : parseDay(actualStart);
  progress.stage[row] = isFinished ? FINISHED : start === undefined ? NOT_STARTED : UNDER_WAY;
  if (start === undefined) return;
  progress.actualStart[row] = start;
  if (isFinished) progress.actualFinish[row] = Math.max(start, finish ?? span?.last ?? start);
}

/** Writes the remaining minutes of an assignment, and adds them to those of its task. */
function writeRemaining(progress: Progress, plan: Plan, work: Work, row: number, lines: readonly ActualLine[]): void {
  const task = work.task[row];
  const stage = progress.stage[task];
  if (stage === UNTRACKED || work.isMaterial[row] === 1) return;
  const [way, amount] = [work.way[row], work.amount[row]];
  const remaining = stage === FINISHED ? 0 : remainingOf(plan.assignments[row], way, amount, lines);
  progress.remaining[row] = remaining;
  progress.isStated[row] = plan.assignments[row].remaining === undefined ? 0 : 1;
  if (way !== HOURS) return;
  progress.statedHours[task] += amount;
  progress.remainingHours[task] += remaining;
}

function remainingOf({ remaining }: Assignment, way: number, amount: number, lines: readonly ActualLine[]): number {
  if (remaining) return Math.max(0, workMinutes(remaining.hours) - minutesFrom(lines, parseDay(remaining.asOf)));
  return way === HOURS || way === CUSTOM ? Math.max(0, amount - minutesFrom(lines, NO_DAY)) : BY_RULE;
}

/** Actual minutes on the days from one on. */
function minutesFrom(lines: readonly ActualLine[], from: Day): number {
  let sum = 0;
  for (const { days, minutes } of lines) for (let at = 0; at < days.length; at++) if (days[at] >= from) sum += minutes[at];
  return sum;
}
