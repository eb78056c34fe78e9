// The causes of a deviation: the steps of the trail that moved a task or a project, each with its own part of it.
import type { Day } from "../calendar/day.ts";
import { moneyLinesIn } from "../cost/costs.ts";
import { moneySpan } from "../cost/moneySpan.ts";
import { applyChanges, type Change, invert } from "../edits/change.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { rowById } from "../plan/rows.ts";
import { forLeaves } from "../plan/taskGraph.ts";
import { SUMMARY } from "../schedule/network.ts";
import { finishDays, lineOfProject, startDays } from "../status/earnedValue.ts";
import { isCost, leafOf } from "../status/taskCosts.ts";
import { updateModel } from "../update/update.ts";

/** A step of the trail: its revision, and the changes it made. */
export interface MadeStep {
  revision: number;
  changes: readonly Change[];
}

/** The subject of a deviation: a project, or one task of it. */
export interface CauseSubject {
  projectId: string;
  taskId: string | null;
}

/** The part of a deviation that one step made: working days, minutes and minor units, negative for earlier and less. */
export interface Cause {
  revision: number;
  startDays: number;
  finishDays: number;
  workMinutes: number;
  cost: Money<"cost">;
}

/** The steps that moved a subject. The steps are undone one by one, and the plan is calculated after each.
 * @param model Of the plan after the newest step.
 * @param steps The newest first.
 * @returns In the same order; steps that moved nothing of it, and those before it was there, are left out. */
export function causesOf(model: Model, steps: readonly MadeStep[], subject: CauseSubject): Cause[] {
  const causes: Cause[] = [];
  let now = { model, at: stateOf(model, subject) };
  for (const { revision, changes } of steps) {
    const back = invert(changes);
    const before = updateModel(now.model, applyChanges(now.model.plan, back), back);
    const was = stateOf(before, subject, now);
    const { at } = now;
    now = { model: before, at: was };
    if (!at || !was) continue;
    const line = lineOfProject(model, at.project);
    const cause: Cause = {
      revision,
      startDays: startDays(line, at.start, was.start) ?? 0,
      finishDays: finishDays(line, at.finish, was.finish) ?? 0,
      workMinutes: at.minutes - was.minutes,
      cost: at.cost - was.cost,
    };
    if (cause.startDays !== 0 || cause.finishDays !== 0 || cause.workMinutes !== 0 || cause.cost !== 0) causes.push(cause);
  }
  return causes;
}

/** A subject as a plan has it. */
interface State {
  project: number;
  start: Day | null;
  finish: Day | null;
  minutes: number;
  cost: number;
}

/** @param known The same of a model next to it, whose cost is taken over where an edit has left the costs of the project. */
function stateOf(model: Model, subject: CauseSubject, known?: { model: Model; at: State | null }): State | null {
  const { plan, schedule } = model;
  const project = rowById(plan.projects).get(subject.projectId);
  const task = subject.taskId === null ? null : rowById(plan.tasks).get(subject.taskId);
  if (project === undefined || task === undefined) return null;
  const dates = task === null ? schedule.projects[project] : schedule.of(task);
  const days = { project, start: dates?.start.day ?? null, finish: dates?.finish.day ?? null };
  const costs = model.costsOfHorizon().byProject[project];
  const isSame = known?.at?.project === project && known.model.costsOfHorizon().byProject[project] === costs;
  const leaves = leavesOf(model, project, task);
  return { ...days, minutes: minutesOf(model, leaves), cost: isSame && known.at ? known.at.cost : costOf(model, project, leaves, task) };
}

function leavesOf({ schedule: { network } }: Model, project: number, task: number | null): ReadonlySet<number> {
  const leaves = new Set<number>();
  if (task !== null) forLeaves(network.graph, task, (leaf) => leaves.add(leaf));
  else
    for (let row = 0; row < network.project.length; row++)
      if (network.project[row] === project && network.sizing[row] !== SUMMARY) leaves.add(row);
  return leaves;
}

/** Placed and unplaced minutes. */
function minutesOf({ work, placements }: Model, leaves: ReadonlySet<number>): number {
  let minutes = 0;
  for (let row = 0; row < work.rows; row++)
    if (work.isMaterial[row] === 0 && leaves.has(work.task[row])) minutes += placements.placed[row] + placements.unplaced[row];
  return minutes;
}

/** Of a project also the cost that belongs to no task. */
function costOf(model: Model, project: number, leaves: ReadonlySet<number>, task: number | null): number {
  const span = moneySpan(model);
  let cost = 0;
  for (const line of moneyLinesIn(model, span, [span], project))
    if (line.project === project && isCost(model, line) && (task === null || leaves.has(leafOf(model, line)))) cost += line.amounts[0];
  return cost;
}
