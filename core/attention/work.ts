// Signals about work: openings that begin soon, requests that wait, tasks that lack what they need, hours nobody can work.
import type { Model } from "../model.ts";
import { unplaceableOf } from "../placing/unplaceable.ts";
import { windowOf } from "../placing/window.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Attention, AttentionKind, Horizon } from "../signals/kinds.ts";
import { lookUp } from "../values/lookUp.ts";
import { incompleteWork, type TrayItem, type TrayKind } from "./incompleteWork.ts";

/** Kinds of the tray that are signals as they are now, and how much they weigh. */
const asTheyStand: Partial<Record<TrayKind, { kind: AttentionKind; weight: number }>> = {
  noPerson: { kind: "noPerson", weight: 5_000 },
  noEstimate: { kind: "noEstimate", weight: 4_000 },
  noDates: { kind: "noDates", weight: 4_500 },
  noRole: { kind: "noRole", weight: 3_000 },
};

/** Signals about work in the weeks of the horizon: openings in minutes, requests waiting for an answer, incomplete tasks. */
export function workSignals(model: Model, horizon: Horizon): Attention[] {
  const items = incompleteWork(model);
  const missing = missingByTask(items);
  const short = items.flatMap((item): Attention[] => {
    if (item.kind === "opening") return openingSoon(model, item, horizon);
    if (item.kind === "unplaced") return unplaced(model, item);
    const own = asTheyStand[item.kind];
    const [first, ...also] = missing.get(item.taskId) ?? [];
    // A task is listed once, with all that it lacks.
    if (!own || own.kind !== first) return [];
    const signal = { key: `${own.kind} ${item.taskId}`, kind: own.kind, ...namesOf(item), ...hoursOf(item) };
    return [{ ...signal, ...(also.length > 0 && { also }), weight: own.weight + item.minutes }];
  });
  return [...short, ...requests(model)];
}

/** The missing fields of each task, the most serious first. */
function missingByTask(items: readonly TrayItem[]): Map<string, AttentionKind[]> {
  const missing = new Map<string, { kind: AttentionKind; weight: number }[]>();
  for (const { kind, taskId } of items) {
    const own = asTheyStand[kind];
    if (own) missing.set(taskId, [...(missing.get(taskId) ?? []), own]);
  }
  return new Map([...missing].map(([taskId, own]) => [taskId, own.sort((a, b) => b.weight - a.weight).map(({ kind }) => kind)]));
}

const namesOf = ({ taskId, taskName: task, projectId, projectName: project, assignmentId }: TrayItem) => ({
  taskId,
  task,
  projectId,
  project,
  ...(assignmentId !== undefined && { assignmentId }),
});

const hoursOf = ({ minutes }: TrayItem) => (minutes > 0 ? { minutes } : {});

/** An opening whose work begins within the weeks ahead, or should have begun. */
function openingSoon(model: Model, item: TrayItem, { today, until }: Horizon): Attention[] {
  const { plan, work, schedule } = model;
  const row =
    item.assignmentId === undefined
      ? work.implicitRow[lookUp(rowById(plan.tasks), item.taskId)]
      : rowById(plan.assignments).get(item.assignmentId);
  const dates = row === undefined ? null : schedule.of(work.task[row]);
  if (!dates || row === undefined || item.minutes === 0) return [];
  const { start, stop } = windowOf(dates, work, row);
  if (start >= until || stop <= today) return [];
  const urgency = Math.max(0, until - start) * 100;
  return [
    {
      key: `openingSoon ${item.assignmentId ?? item.taskId}`,
      kind: "openingSoon",
      ...namesOf(item),
      role: item.who,
      minutes: item.minutes,
      from: start,
      to: stop - 1,
      weight: 2e5 + urgency + item.minutes,
    },
  ];
}

/** Hours that nobody can work although the person who has them is employed and not away: those are reported with the people. */
function unplaced(model: Model, item: TrayItem): Attention[] {
  const { plan, work } = model;
  const row = rowById(plan.assignments).get(item.assignmentId ?? "");
  if (row === undefined) return [];
  const { reason, personId } = unplaceableOf(model, row);
  if (reason === "noDates" || (work.person[row] >= 0 && reason !== "noWorkingTime")) return [];
  const who = personId === null ? {} : { personId, person: item.who };
  return [
    { key: `unplaced ${item.assignmentId}`, kind: "unplaced", ...namesOf(item), ...who, minutes: item.minutes, weight: 2e5 + item.minutes },
  ];
}

function requests({ plan }: Model): Attention[] {
  return plan.requests.flatMap(({ id, taskId, assignmentId, roleId, personId, hours, state, history }): Attention[] => {
    if ((state !== "asked" && state !== "offered") || assignmentId === undefined) return [];
    const task = findRow(plan.tasks, taskId);
    const project = findRow(plan.projects, task?.projectId);
    return [
      {
        key: `requestWaiting ${id} ${state}`,
        kind: "requestWaiting",
        requestId: id,
        taskId,
        task: task?.name,
        projectId: project?.id,
        project: project?.name,
        role: findRow(plan.people, personId)?.name ?? findRow(plan.roles, roleId)?.name,
        person: history[history.length - 1].by,
        minutes: Math.round(hours * 60),
        weight: 1e5,
      },
    ];
  });
}
