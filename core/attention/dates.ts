// Signals about dates: deadlines that are missed, and dates that cannot hold.
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import { isGoingOn } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Conflict } from "../schedule/conflicts.ts";
import type { Attention } from "../signals/kinds.ts";

const deadlines: ReadonlySet<Conflict["kind"]> = new Set(["deadline", "finishNotAfter", "projectDeadline"]);

/** One signal for a task or project, its largest miss; the other dates that it misses are named with it. */
export function dateSignals(model: Model): Attention[] {
  const bySubject = new Map<string, Attention[]>();
  for (const conflict of model.conflicts()) {
    const signal = dateSignal(model, conflict);
    if (!signal) continue;
    const subject = signal.taskId ?? `project ${signal.projectId}`;
    bySubject.set(subject, [...(bySubject.get(subject) ?? []), signal]);
  }
  return [...bySubject.values()].map((signals) => {
    const [worst, ...others] = signals.sort((a, b) => b.weight - a.weight);
    return others.length === 0 ? worst : { ...worst, also: others.map(({ kind }) => kind) };
  });
}

function dateSignal({ plan }: Model, conflict: Conflict): Attention | null {
  const task = findRow(plan.tasks, conflict.taskId);
  const project = findRow(plan.projects, conflict.projectId ?? task?.projectId);
  if (!project || !isGoingOn(project) || task?.state === "done") return null;
  const days = Math.round((10 * conflict.ticks) / TICKS_PER_DAY) / 10;
  const isDeadline = deadlines.has(conflict.kind);
  const kind = isDeadline ? "missedDeadline" : "cannotHold";
  return {
    key: `${kind} ${conflict.kind} ${conflict.linkId ?? task?.id ?? project.id}`,
    kind,
    conflict: conflict.kind,
    ...(task && { taskId: task.id, task: task.name }),
    projectId: project.id,
    project: project.name,
    days,
    weight: (isDeadline ? 9e5 : 7e5) + days * 100,
  };
}
