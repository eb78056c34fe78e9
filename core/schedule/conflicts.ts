// The conflicts of a plan's dates: links of pinned tasks, deadlines, and work without days. Nothing is repaired.
import { lineFinder } from "../calendar/lines.ts";
import { boundsOf } from "./bounds.ts";
import type { Schedule } from "./dates.ts";
import { endOf, latestStart } from "./network.ts";

export type ConflictKind = "link" | "notAfter" | "finishNotAfter" | "deadline" | "projectDeadline" | "noWorkingDay" | "noCapacity";

/** One thing that cannot hold, and by how many ticks it is missed. */
export interface Conflict {
  kind: ConflictKind;
  /** The task it is about; for `projectDeadline` there is `projectId` instead. */
  taskId?: string;
  projectId?: string;
  linkId?: string;
  ticks: number;
}

/** Every conflict of a schedule, tasks in plan order, then projects. */
export function conflictsOf(schedule: Schedule): Conflict[] {
  const { plan, lines } = schedule.network;
  const conflicts: Conflict[] = [];
  const miss = (conflict: Conflict) => {
    if (conflict.ticks > 0) conflicts.push(conflict);
  };
  plan.tasks.forEach(({ id: taskId, notAfter, finishNotAfter, deadline }, row) => {
    const dates = schedule.of(row);
    if (!dates) return;
    const { line, startAt, finishAt, isSummary } = dates;
    if (!isSummary && dates.driver.kind === "pinned") {
      for (const { kind, linkId, at, ofFinish } of boundsOf(schedule, row))
        if (kind === "link") miss({ kind: "link", taskId, linkId, ticks: at - (ofFinish ? finishAt : startAt) });
    }
    if (notAfter !== undefined) miss({ kind: "notAfter", taskId, ticks: startAt - latestStart(line, notAfter) });
    if (finishNotAfter !== undefined) miss({ kind: "finishNotAfter", taskId, ticks: finishAt - endOf(line, finishNotAfter) });
    if (deadline !== undefined) miss({ kind: "deadline", taskId, ticks: finishAt - endOf(line, deadline) });
    if (dates.isIdlePin) conflicts.push({ kind: "noWorkingDay", taskId, ticks: 0 });
    if ([...(dates.consumed?.values() ?? [])].includes(null)) conflicts.push({ kind: "noCapacity", taskId, ticks: 0 });
  });
  const lineOf = lineFinder(plan, lines);
  plan.projects.forEach(({ id: projectId, deadline, calendarId }, row) => {
    if (deadline === undefined) return;
    const line = lineOf(calendarId);
    const { day, tick } = schedule.projects[row].finish;
    miss({ kind: "projectDeadline", projectId, ticks: line.place(day, tick) - endOf(line, deadline) });
  });
  return conflicts;
}
