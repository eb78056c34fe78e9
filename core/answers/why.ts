// The explanation of a task's dates: every bound with its date, the deciding one first, and the change that an earlier start
// would need.
import type { Day } from "../calendar/day.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { findRow, knownRow, rowById } from "../plan/rows.ts";
import type { Link, Task } from "../plan/schema.ts";
import { boundsOf, type StartBound } from "../schedule/bounds.ts";
import type { DriverKind } from "../schedule/dates.ts";
import { updateModel } from "../update/update.ts";
import { lookUp } from "../values/lookUp.ts";
import { durationTicks } from "../values/units.ts";

/** One bound of a task, in terms of what it asks for. */
export interface WhyBound {
  kind: DriverKind;
  /** Of a link: the task it comes from, and the project where that is another one. */
  link?: {
    id: string;
    kind: Link["kind"];
    lagDays: number;
    elapsed: boolean;
    fromId: string;
    fromName: string;
    fromProject: string | null;
  };
  /** The start it asks for; of a bound on the finish, what that makes of the start. */
  start: Day;
  /** Of a bound on the finish: the finish it asks for. */
  finish: Day | null;
  isDeciding: boolean;
}

/** A person whose absence or part time makes effort-sized work take longer. */
export interface Stretch {
  personName: string;
  /** Working days of the task on which they can give less than the calendar's hours. */
  days: number;
  /** Minutes they cannot give on them. */
  minutes: number;
}

export interface Why {
  taskId: string;
  start: Day;
  finish: Day;
  driver: DriverKind;
  /** In ticks. */
  duration: number;
  bounds: WhyBound[];
  /** The start without the deciding bound, as calculated without it: the link, the delay, the constraint. Null if nothing can be
   * removed. */
  without: Day | null;
  /** The start without the lag of the link that decides it; null where it has none. */
  withoutLag: Day | null;
  stretches: Stretch[];
}

/** Explains a task's dates; null for a summary, an unscheduled task or one that is not in the plan. */
export function whyOf(model: Model, taskId: string): Why | null {
  const { plan, schedule } = model;
  const row = rowById(plan.tasks).get(taskId);
  const dates = row === undefined ? null : schedule.of(row);
  if (row === undefined || !dates || dates.isSummary) return null;
  const task = plan.tasks[row];
  const duration = dates.finishAt - dates.startAt;
  const stagger = durationTicks(task.staggerDays ?? 0);
  const asks = (bound: StartBound) => (bound.ofFinish ? bound.at - duration : bound.at);
  const found = boundsOf(schedule, row).sort((a, b) => asks(b) - asks(a) || a.rank - b.rank);
  const isPinned = dates.driver.kind === "pinned";
  const free = dates.startAt - stagger;
  const bounds = found.map((bound): WhyBound => {
    const at = asks(bound);
    return {
      kind: bound.kind,
      ...(bound.linkId !== undefined && { link: linkOf(model, task, bound.linkId) }),
      start: dates.line.asStart(Math.max(0, at)).day,
      finish: bound.ofFinish ? dates.line.asFinish(bound.at).day : null,
      isDeciding: !isPinned && stagger === 0 && at === free,
    };
  });
  if (stagger > 0) bounds.unshift({ kind: "stagger", start: dates.start.day, finish: null, isDeciding: true });
  if (isPinned) bounds.unshift({ kind: "pinned", start: dates.start.day, finish: dates.finish.day, isDeciding: true });
  const rest = bounds.filter(({ isDeciding }) => !isDeciding);
  return {
    taskId,
    start: dates.start.day,
    finish: dates.finish.day,
    driver: dates.driver.kind,
    duration,
    bounds: [...bounds.filter(({ isDeciding }) => isDeciding), ...rest],
    ...triedWithout(
      model,
      task,
      bounds.find(({ isDeciding }) => isDeciding),
    ),
    stretches: task.sizing === "effort" ? stretchesOf(model, row) : [],
  };
}

function triedWithout(model: Model, { id }: Task, deciding: WhyBound | undefined): Pick<Why, "without" | "withoutLag"> {
  const startAfter = (edit: Edit | null): Day | null => {
    const outcome = edit && applyEdit(model.plan, edit);
    if (!outcome?.plan) return null;
    const next = updateModel(model, outcome.plan, outcome.changes);
    return next.schedule.of(lookUp(rowById(outcome.plan.tasks), id))?.start.day ?? null;
  };
  const { kind, link } = deciding ?? {};
  if (link) {
    const lag: Edit | null = link.lagDays === 0 ? null : { kind: "changeLink", id: link.id, set: { lagDays: null, elapsed: null } };
    return { without: startAfter({ kind: "deleteLink", id: link.id }), withoutLag: startAfter(lag) };
  }
  const key = kind === "stagger" ? "staggerDays" : kind === "notBefore" || kind === "finishNotBefore" ? kind : null;
  return { without: startAfter(key && { kind: "changeTask", id, set: { [key]: null } }), withoutLag: null };
}

function linkOf({ plan }: Model, task: Task, id: string): WhyBound["link"] {
  const link = knownRow(plan.links, id);
  const from = knownRow(plan.tasks, link.from);
  return {
    id,
    kind: link.kind,
    lagDays: link.lagDays ?? 0,
    elapsed: link.elapsed ?? false,
    fromId: from.id,
    fromName: from.name,
    fromProject: from.projectId === task.projectId ? null : (findRow(plan.projects, from.projectId)?.name ?? null),
  };
}

function stretchesOf({ plan, work, schedule, capacity }: Model, row: number): Stretch[] {
  const dates = schedule.of(row);
  if (!dates) return [];
  const [first, last] = [dates.start.day, dates.finish.day];
  const stretches: Stretch[] = [];
  for (let at = work.byTask.first[row]; at < work.byTask.first[row + 1]; at++) {
    const person = work.person[work.byTask.members[at]];
    if (person < 0) continue;
    const sums = { days: 0, minutes: 0 };
    for (let day = first; day <= last; day++) {
      const missing = dates.line.minutesOn(day) - capacity.on(person, day);
      if (missing <= 0) continue;
      sums.days++;
      sums.minutes += missing;
    }
    if (sums.days > 0) stretches.push({ personName: plan.people[person].name, ...sums });
  }
  return stretches.sort((a, b) => b.minutes - a.minutes);
}
