// The options after dragging a bar to another day: never a hidden lock, always one of a few visible changes.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { type Instant, TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { Edit } from "../edits/edit.ts";
import type { Settable } from "../edits/kind.ts";
import type { Model } from "../model.ts";
import { findRow, knownRow, rowById } from "../plan/rows.ts";
import type { Link, Task } from "../plan/schema.ts";
import { statedPin } from "../schedule/pin.ts";
import { known } from "../values/lookUp.ts";
import { durationTicks } from "../values/units.ts";

export type DropWay = "move" | "notBefore" | "stagger" | "pin" | "link" | "longer";

/** One thing the drop can mean. `move` shifts a pinned task, `longer` draws a task out; the others say what they leave behind. */
export interface DropOption {
  way: DropWay;
  edit: Edit;
  /** Of a stagger or a link: how many working days of delay or lag there will be. */
  days?: number;
  /** Of a link: the task it comes from. */
  fromName?: string;
}

export interface Drop {
  taskId: string;
  /** The first working day on or after the one it was dropped on. */
  start: Day;
  /** The least surprising first. */
  options: DropOption[];
}

/** The ways to have a task start on a day; null for a summary, an unscheduled task, or one that is there already. */
export function dropOf(model: Model, taskId: string, day: Day): Drop | null {
  const { plan, schedule } = model;
  const row = rowById(plan.tasks).get(taskId);
  const dates = row === undefined ? null : schedule.of(row);
  if (row === undefined || !dates || dates.isSummary || day < dates.line.origin) return null;
  const task = plan.tasks[row];
  const { line, startAt, driver } = dates;
  const at = line.place(day, 0);
  const start = line.asStart(at).day;
  if (driver.kind === "pinned") return dates.start.day === day ? null : { taskId, start: day, options: [moveOf(task, day)] };
  if (at === startAt) return null;
  const options: DropOption[] = [];
  const isHeld = driver.kind === "link" || driver.kind === "stagger" || driver.kind === "finishNotBefore";
  // A constraint that a link outweighs would do nothing: it is offered only where it decides.
  if (!isHeld && start >= parseDay(knownRow(plan.projects, task.projectId).start))
    options.push({ way: "notBefore", edit: { kind: "changeTask", id: taskId, set: { notBefore: formatDay(start) } } });
  const stagger = staggerOf(task, at - startAt);
  if (isHeld && stagger) options.push(stagger);
  const link = driver.linkId === undefined ? null : lagOf(model, findRow(plan.links, driver.linkId), at - startAt);
  if (link) options.push(link);
  // Hours with a share of the day belong to effort alone; pinning would have to drop one of the two.
  const isShared = plan.assignments.some((own) => own.taskId === taskId && own.hours !== undefined && own.percent !== undefined);
  if (!isShared) options.push(pinOf(task, start, line.asFinish(at + Math.max(1, dates.finishAt - startAt)).day));
  return { taskId, start, options };
}

function moveOf(task: Task, day: Day): DropOption {
  const { start, finish } = known(statedPin(task), "dates of a pinned task");
  const set = { start: formatDay(day), finish: formatDay(day + finish - start) };
  return { way: "move", edit: { kind: "changeTask", id: task.id, set } };
}

function staggerOf(task: Task, ticks: Instant): DropOption | null {
  const days = (durationTicks(task.staggerDays ?? 0) + ticks) / TICKS_PER_DAY;
  if (days < 0) return null;
  return { way: "stagger", days, edit: { kind: "changeTask", id: task.id, set: { staggerDays: days === 0 ? null : days } } };
}

function lagOf({ plan }: Model, link: Link | undefined, ticks: Instant): DropOption | null {
  if (!link || link.elapsed) return null;
  const days = (durationTicks(link.lagDays ?? 0) + ticks) / TICKS_PER_DAY;
  const fromName = findRow(plan.tasks, link.from)?.name ?? "";
  return { way: "link", days, fromName, edit: { kind: "changeLink", id: link.id, set: { lagDays: days } } };
}

function pinOf(task: Task, start: Day, finish: Day): DropOption {
  const set: Settable<"tasks"> = {
    sizing: "dates",
    start: formatDay(start),
    finish: formatDay(finish),
    durationDays: null,
    staggerDays: null,
  };
  return { way: "pin", edit: { kind: "changeTask", id: task.id, set } };
}
