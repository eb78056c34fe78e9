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

/** The progress of every task. */
export function taskProgress(model: Placed): TaskProgress {
  const { plan, work, placements, progress, schedule } = model;
  const { graph, sizing } = schedule.network;
  const column = () => new Float64Array(plan.tasks.length);
  const own: TaskProgress = {
    actual: column(),
    remaining: column(),
    unplaced: column(),
    placed: column(),
    weight: column(),
    percent: new Int32Array(plan.tasks.length),
  };
  const stated = column();
  for (let row = 0; row < work.rows; row++) {
    if (work.isMaterial[row] === 1) continue;
    const task = work.task[row];
    const isTracked = progress.stage[task] !== UNTRACKED;
    const actual = isTracked ? progress.actual[row] : placedIn(placements, row, 10_000, Number.NEGATIVE_INFINITY, progress.status);
    own.actual[task] += actual;
    own.remaining[task] += Math.max(0, placements.asked[row] - actual);
    own.unplaced[task] += placements.unplaced[row];
    own.placed[task] += placements.placed[row];
    own.weight[task] += placements.asked[row];
    if (row < work.assignments && (work.way[row] === HOURS || work.way[row] === CUSTOM)) stated[task] += work.amount[row];
  }
  for (let task = 0; task < plan.tasks.length; task++) {
    if (sizing[task] === SUMMARY) continue;
    if (progress.stage[task] === FINISHED && progress.actualOfTask[task] === 0) own.weight[task] = stated[task];
    own.percent[task] = percentOfLeaf(model, task, own.actual[task], own.remaining[task]);
  }
  for (let task = 0; task < plan.tasks.length; task++) {
    if (sizing[task] !== SUMMARY) continue;
    const leaves: number[] = [];
    forLeaves(graph, task, (leaf) => leaves.push(leaf));
    for (const key of ["actual", "remaining", "unplaced", "placed"] as const)
      own[key][task] = leaves.reduce((sum, leaf) => sum + own[key][leaf], 0);
    own.percent[task] = percentOf(own, leaves);
  }
  return own;
}

/** Hundredths of a percent: all of what is done; else what is stated; else what is worked of all that is asked for. */
function percentOfLeaf({ plan, progress }: Placed, task: number, actual: number, remaining: number): number {
  const stage = progress.stage[task];
  const { state, percentComplete } = plan.tasks[task];
  if (stage === UNTRACKED ? state === "done" : stage === FINISHED) return 10_000;
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
