// The work of every task: actual, remaining and unplaced minutes, and how complete it is.

import type { Placed } from "../placing/placed.ts";
import { placedIn } from "../placing/placements.ts";
import { columnOf } from "../plan/rows.ts";
import { forLeaves } from "../plan/taskGraph.ts";
import { FINISHED, UNTRACKED } from "../progress/progress.ts";
import { SUMMARY } from "../schedule/network.ts";
import { percentHundredths, roundedQuotient, shareOf } from "../values/units.ts";
import { CUSTOM, HOURS } from "../work/statement.ts";

/** By task row; a summary adds up the leaves below it. Minutes; openings count as work. */
export interface TaskProgress {
  actual: Float64Array;
  remaining: Float64Array;
  unplaced: Float64Array;
  placed: Float64Array;
  /** Minutes that a leaf weighs in the percentage of what is above it. */
  weight: Float64Array;
  /** Hundredths of a percent. */
  percent: Int32Array;
}

/** The progress of tasks. @param rows Those it is asked for, a summary with all its leaves; all where left out. */
export function taskProgress(model: Placed, rows: readonly number[] = model.plan.tasks.map((_, row) => row)): TaskProgress {
  const { graph, sizing } = model.schedule.network;
  const column = () => new Float64Array(model.plan.tasks.length);
  const own: TaskProgress = {
    actual: column(),
    remaining: column(),
    unplaced: column(),
    placed: column(),
    weight: column(),
    percent: new Int32Array(model.plan.tasks.length),
  };
  for (const task of rows) if (sizing[task] !== SUMMARY) writeLeaf(model, own, task);
  for (const task of rows) {
    if (sizing[task] !== SUMMARY) continue;
    const leaves: number[] = [];
    forLeaves(graph, task, (leaf) => leaves.push(leaf));
    for (const key of ["actual", "remaining", "unplaced", "placed"] as const)
      own[key][task] = leaves.reduce((sum, leaf) => sum + own[key][leaf], 0);
    own.percent[task] = percentOf(own, leaves);
  }
  return own;
}

function writeLeaf(model: Placed, own: TaskProgress, task: number): void {
  const { placements, progress } = model;
  const isTracked = progress.stage[task] !== UNTRACKED;
  for (const row of labourOf(model, task)) {
    const actual = isTracked ? progress.actual[row] : placedIn(placements, row, 10_000, Number.NEGATIVE_INFINITY, progress.status);
    own.actual[task] += actual;
    own.remaining[task] += Math.max(0, placements.asked[row] - actual);
    own.unplaced[task] += placements.unplaced[row];
    own.placed[task] += placements.placed[row];
  }
  ({ percent: own.percent[task], weight: own.weight[task] } = leafPercent(model, task));
}

/** How complete a leaf is, in hundredths of a percent, and the minutes it weighs in what is above it. */
export function leafPercent(model: Placed, task: number): { percent: number; weight: number } {
  const { work, placements, progress } = model;
  let [asked, stated, actual, remaining] = [0, 0, 0, 0];
  for (const row of labourOf(model, task)) {
    asked += placements.asked[row];
    actual += progress.actual[row];
    remaining += Math.max(0, placements.asked[row] - progress.actual[row]);
    if (row < work.assignments && (work.way[row] === HOURS || work.way[row] === CUSTOM)) stated += work.amount[row];
  }
  const isUnrecorded = progress.stage[task] === FINISHED && progress.actualOfTask[task] === 0;
  return { percent: percentOfLeaf(model, task, actual, remaining), weight: isUnrecorded ? stated : asked };
}

/** The work rows of a task, without its material. */
function labourOf({ work }: Placed, task: number): number[] {
  const rows: number[] = [];
  for (let at = work.byTask.first[task]; at < work.byTask.first[task + 1]; at++) {
    const row = work.byTask.members[at];
    if (work.isMaterial[row] === 0) rows.push(row);
  }
  return rows;
}

/** Hundredths of a percent: all of what is done; else what is stated; else what is worked of all that is asked for. */
function percentOfLeaf({ plan, progress }: Placed, task: number, actual: number, remaining: number): number {
  const stage = progress.stage[task];
  const { state, percentComplete } = plan.tasks[task];
  if (stage === FINISHED || (stage === UNTRACKED && state === "done")) return 10_000;
  if (percentComplete !== undefined) return percentHundredths(percentComplete);
  return stage === UNTRACKED ? 0 : (shareOf(actual, actual + remaining) ?? 0);
}

/** The mean percentage of some leaves by their minutes, or by their number where none has any; 0 without leaves. */
export function percentOf({ percent, weight }: TaskProgress, leaves: readonly number[]): number {
  const all = leaves.reduce((sum, leaf) => sum + weight[leaf], 0);
  const weighed = (leaf: number) => (all === 0 ? 1 : weight[leaf]);
  const divisor = all === 0 ? leaves.length : all;
  return divisor === 0
    ? 0
    : roundedQuotient(
        leaves.reduce((sum, leaf) => sum + percent[leaf] * weighed(leaf), 0),
        divisor,
      );
}

/** The approved minutes of every task on past days, whether its project is tracked or not; by task row. */
export function recordedByTask({ plan, progress, recorded }: Placed): Float64Array {
  const minutes = new Map<string, number>();
  for (let at = 0; at < recorded.day.length; at++) {
    if (recorded.day[at] >= progress.status) continue;
    const id = recorded.taskIds[recorded.task[at]];
    minutes.set(id, (minutes.get(id) ?? 0) + recorded.minutes[at]);
  }
  return Float64Array.from(columnOf(plan.tasks, ({ id }) => minutes.get(id) ?? 0));
}
