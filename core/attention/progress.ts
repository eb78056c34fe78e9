// Signals of projects that record their progress: tasks that should have begun or ended, and marks that do not fit the hours.
import type { Day } from "../calendar/day.ts";
import { isGoingOn } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { flagsOf } from "../plan/rows.ts";
import { FINISHED, NOT_STARTED, UNDER_WAY, UNTRACKED } from "../progress/progress.ts";
import { DONE, SUM } from "../schedule/dates.ts";
import type { Attention } from "../signals/kinds.ts";
import { taskProgress } from "../status/taskProgress.ts";

/** Tasks that should have begun or ended by the status date, and finished ones dated after it. */
export function progressDateSignals(model: Model): Attention[] {
  const { status, stage, actualFinish } = model.progress;
  const leaves = trackedLeaves(model);
  const hasNothingLeft = nothingLeft(model, leaves);
  return leaves.flatMap((task): Attention[] => {
    const dates = model.schedule.of(task);
    if (!dates) return [];
    if (stage[task] === FINISHED) {
      const isAhead = model.schedule.columns.state[task] === DONE && actualFinish[task] > status;
      return isAhead ? [signalOf(model, "finishAhead", task, actualFinish[task], actualFinish[task] - status)] : [];
    }
    if (stage[task] === NOT_STARTED) {
      const isHeld = dates.driver.kind === "statusDate";
      return isHeld || dates.start.day < status ? [signalOf(model, "startDue", task, dates.start.day, status - dates.start.day)] : [];
    }
    return dates.finish.day < status && !hasNothingLeft.has(task)
      ? [signalOf(model, "finishDue", task, dates.finish.day, status - dates.finish.day)]
      : [];
  });
}

/** Tasks under way with recorded hours and none left that are not marked as done. */
export function progressWorkSignals(model: Model): Attention[] {
  const found = nothingLeft(model, trackedLeaves(model));
  return [...found].map((task) => signalOf(model, "nothingLeft", task, model.progress.status, 0));
}

/** Those of the leaves that are under way and have hours, and none left. */
function nothingLeft(model: Model, leaves: readonly number[]): Set<number> {
  const under = leaves.filter((task) => model.progress.stage[task] === UNDER_WAY);
  const { actual, remaining } = taskProgress(model, under);
  return new Set(under.filter((task) => actual[task] > 0 && remaining[task] === 0));
}

/** The leaves of tracked projects that are going on. */
function trackedLeaves({ plan, progress, schedule }: Model): number[] {
  if (!progress.isTracked) return [];
  const { network, columns } = schedule;
  const isCounted = flagsOf(plan.projects, isGoingOn);
  const leaves: number[] = [];
  for (let task = 0; task < plan.tasks.length; task++) {
    const isLeaf = columns.state[task] !== SUM;
    if (isLeaf && progress.stage[task] !== UNTRACKED && isCounted[network.project[task]] === 1) leaves.push(task);
  }
  return leaves;
}

const weights = { startDue: 6e5, finishDue: 6.5e5, finishAhead: 6_000, nothingLeft: 5_500 } as const;

/** @param days By which the status date is missed. */
function signalOf({ plan, schedule }: Model, kind: keyof typeof weights, row: number, from: Day, days: number): Attention {
  const { id, name } = plan.tasks[row];
  const project = plan.projects[schedule.network.project[row]];
  return {
    key: `${kind} ${id}`,
    kind,
    taskId: id,
    task: name,
    projectId: project.id,
    project: project.name,
    from,
    weight: weights[kind] + Math.max(0, days) * 100,
  };
}
