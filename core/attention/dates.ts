// Signals about dates: deadlines that are missed, and dates that cannot hold.
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import { isGoingOn } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Conflict } from "../schedule/conflicts.ts";
import type { Attention } from "./kinds.ts";

const deadlines: ReadonlySet<Conflict["kind"]> = new Set(["deadline", "finishNotAfter", "projectDeadline"]);

export function dateSignals(model: Model): Attention[] {
  const { plan } = model;
  return model.conflicts().flatMap((conflict): Attention[] => {
    const task = findRow(plan.tasks, conflict.taskId);
    const project = findRow(plan.projects, conflict.projectId ?? task?.projectId);
    if (!project || !isGoingOn(project) || task?.state === "done") return [];
    const days = Math.round((10 * conflict.ticks) / TICKS_PER_DAY) / 10;
    const isDeadline = deadlines.has(conflict.kind);
    const kind = isDeadline ? "missedDeadline" : "cannotHold";
    return [
      {
        key: `${kind} ${conflict.kind} ${conflict.linkId ?? task?.id ?? project.id}`,
        kind,
        conflict: conflict.kind,
        ...(task && { taskId: task.id, task: task.name }),
        projectId: project.id,
        project: project.name,
        days,
        weight: (isDeadline ? 9e5 : 7e5) + days * 100,
      },
    ];
  });
}
