// The conflicts of a plan's dates: links of pinned tasks, deadlines, and work without days. Nothing is repaired.
import { lineFinder } from "../calendar/lines.ts";
import { leavesOf } from "../plan/taskGraph.ts";
import { boundsOf } from "./bounds.ts";
import { BEGUN, DONE, NO_DATES, type Schedule, SUM } from "./dates.ts";
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
  const { columns } = schedule;
  const conflicts: Conflict[] = [];
  const miss = (conflict: Conflict) => {
    if (conflict.ticks > 0) conflicts.push(conflict);
  };
  plan.tasks.forEach(({ id: taskId, notAfter, finishNotAfter, deadline }, row) => {
    const dates = schedule.of(row);
    if (!dates || isOver(schedule, row)) return;
    const { line, startAt, finishAt, isSummary } = dates;
    if (!isSummary && dates.driver.kind === "pinned") {
      for (const { kind, linkId, at, ofFinish } of boundsOf(schedule, row))
        if (kind === "link") miss({ kind: "link", taskId, linkId, ticks: at - (ofFinish ? finishAt : startAt) });
    }
    if (notAfter !== undefined && columns.state[row] !== BEGUN)
      miss({ kind: "notAfter", taskId, ticks: startAt - latestStart(line, notAfter) });
    if (finishNotAfter !== undefined) miss({ kind: "finishNotAfter", taskId, ticks: finishAt - endOf(line, finishNotAfter) });
    if (deadline !== undefined) miss({ kind: "deadline", taskId, ticks: finishAt - endOf(line, deadline) });
    if (dates.isIdlePin) conflicts.push({ kind: "noWorkingDay", taskId, ticks: 0 });
    if ([...(dates.consumed?.values() ?? [])].includes(null)) conflicts.push({ kind: "noCapacity", taskId, ticks: 0 });
  });
  const lineOf = lineFinder(plan, lines);
  const areOver = projectsOver(schedule);
  plan.projects.forEach(({ id: projectId, deadline, calendarId }, row) => {
    if (deadline === undefined || areOver[row] === 1) return;
    const line = lineOf(calendarId);
    const { day, tick } = schedule.projects[row].finish;
    miss({ kind: "projectDeadline", projectId, ticks: line.place(day, tick) - endOf(line, deadline) });
  });
  return conflicts;
}

/** True of a task that is finished with actual dates, and of a summary that has only such leaves: nothing about it can be missed
 * any more. */
function isOver({ network, columns }: Schedule, row: number): boolean {
  if (columns.state[row] !== SUM) return columns.state[row] === DONE;
  return leavesOf(network.graph, row).every((leaf) => columns.state[leaf] === DONE || columns.state[leaf] === NO_DATES);
}

/** By project row: 1 where all that has dates is finished with actual ones. */
function projectsOver({ network, columns }: Schedule): Uint8Array {
  const over = new Uint8Array(network.plan.projects.length);
  if (!network.progress.isTracked) return over;
  columns.state.forEach((state, row) => {
    if (state === DONE) over[network.project[row]] = 1;
  });
  columns.state.forEach((state, row) => {
    if (state !== DONE && state !== NO_DATES && state !== SUM) over[network.project[row]] = 0;
  });
  return over;
}
