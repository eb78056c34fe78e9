// The rules of evening out: checks whether the step from one model to the next keeps every rule, by reading these two alone.
import type { Day } from "../calendar/day.ts";
import type { Change } from "../edits/change.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { findRow, membersOf, rowById } from "../plan/rows.ts";
import type { Conflict } from "../schedule/conflicts.ts";
import type { Measured } from "./measures.ts";

/** A step of evening out. */
export interface Step {
  before: Measured;
  after: Measured;
  changes: readonly Change[];
  /** Everything before this day stays as it is; null if no day counts as today. */
  today: Day | null;
}

/** True where a step lowers what is too much, leaves what is asked for, leaves the past, and breaks nothing. */
export function keepsRules(step: Step): boolean {
  const [was, is] = [step.before.totals, step.after.totals];
  if (is.peakOver >= was.peakOver || is.unplaced > was.unplaced) return false;
  return asksTheSame(step) && leavesThePast(step) && breaksNothing(step.before.model, step.after.model);
}

/** Ids of the tasks whose work was changed. */
function tasksChanged(changes: readonly Change[]): Set<string> {
  return new Set(
    changes.flatMap(({ list, id, before, after }) => {
      if (list === "tasks") return [id];
      return list === "assignments" ? [before?.taskId, after?.taskId].filter((taskId) => taskId !== undefined) : [];
    }),
  );
}

/** All assignments of a task together ask for what they asked for. */
function asksTheSame({ before, after, changes }: Step): boolean {
  return [...tasksChanged(changes)].every((id) => askedOf(before.model, id) === askedOf(after.model, id));
}

function askedOf(model: Model, taskId: string): number {
  return rowsOf(model, taskId).reduce((sum, row) => sum + model.placements.asked[row], 0);
}

function rowsOf({ plan, work }: Model, taskId: string): number[] {
  const task = rowById(plan.tasks).get(taskId) ?? -1;
  return task < 0 ? [] : [...membersOf(work.byTask, task)].filter((row) => row < work.assignments);
}

/** Nobody's minutes of a day before the status date are others than they were. */
function leavesThePast({ before, after, changes, today }: Step): boolean {
  if (today === null) return true;
  return [...tasksChanged(changes)].every((id) => samePast(before.model, after.model, id, today));
}

function samePast(before: Model, after: Model, taskId: string, today: Day): boolean {
  const [was, is] = [pastOf(before, taskId, today), pastOf(after, taskId, today)];
  return was.size === is.size && [...was].every(([key, minutes]) => is.get(key) === minutes);
}

/** Minutes of a task before a day, by who works them and when. */
function pastOf(model: Model, taskId: string, today: Day): Map<string, number> {
  const { plan, placements } = model;
  const past = new Map<string, number>();
  for (const row of rowsOf(model, taskId)) {
    const { personId, teamId, roleId } = plan.assignments[row];
    for (let day = placements.start[row]; day < Math.min(today, placements.start[row] + placements.length[row]); day++) {
      const minutes = placedIn(placements, row, 10_000, day, day + 1);
      const key = `${personId ?? teamId ?? roleId} ${day}`;
      if (minutes > 0) past.set(key, (past.get(key) ?? 0) + minutes);
    }
  }
  return past;
}

/** No conflict is new or larger. Deadlines that are missed are among them. */
function breaksNothing(before: Model, after: Model): boolean {
  if (before.schedule === after.schedule) return true;
  const known = new Map(before.conflicts().map((conflict) => [keyOf(conflict), conflict.ticks]));
  return after.conflicts().every((conflict) => conflict.ticks <= (known.get(keyOf(conflict)) ?? -1));
}

const keyOf = ({ kind, taskId, projectId, linkId }: Conflict): string => `${kind} ${taskId ?? projectId} ${linkId ?? ""}`;

/** True where nothing that changes touch is done or locked. */
export function leavesLocked({ plan }: Model, changes: readonly Change[]): boolean {
  return changes.every(({ list, before, after }) => {
    const task = list === "tasks" ? before : list === "assignments" ? findRow(plan.tasks, (before ?? after)?.taskId) : null;
    if (!task) return true;
    return task.state !== "done" && !task.locked && !findRow(plan.projects, task.projectId)?.locked;
  });
}
