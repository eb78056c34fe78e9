// What an edit made move: which dates, from when to when, and because of what.
import type { Day } from "../calendar/day.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { DriverKind } from "./dates.ts";

export interface TaskMove {
  taskId: string;
  name: string;
  projectId: string;
  before: { start: Day; finish: Day };
  after: { start: Day; finish: Day };
  /** What decides its start now, and the task a deciding link comes from. */
  because: { kind: DriverKind; fromName: string | null };
}

export interface ProjectMove {
  projectId: string;
  name: string;
  before: Day;
  after: Day;
}

export interface Moves {
  tasks: TaskMove[];
  projects: ProjectMove[];
}

/** Leaves whose dates differ between two models, but those named in `except`; and projects whose finish differs. */
export function movesOf(before: Model, after: Model, except: ReadonlySet<string> = new Set()): Moves {
  if (before.schedule === after.schedule) return { tasks: [], projects: [] };
  const { plan, schedule } = after;
  const known = rowById(before.plan.tasks);
  const tasks = plan.tasks.flatMap((task, row): TaskMove[] => {
    const [was, is] = [before.schedule.of(known.get(task.id) ?? -1), schedule.of(row)];
    if (!was || !is || is.isSummary || except.has(task.id)) return [];
    if (was.start.day === is.start.day && was.finish.day === is.finish.day) return [];
    const from = findRow(plan.tasks, findRow(plan.links, is.driver.linkId)?.from);
    return [
      {
        taskId: task.id,
        name: task.name,
        projectId: task.projectId,
        before: { start: was.start.day, finish: was.finish.day },
        after: { start: is.start.day, finish: is.finish.day },
        because: { kind: is.driver.kind, fromName: from?.name ?? null },
      },
    ];
  });
  const projects = plan.projects.flatMap(({ id, name }, row): ProjectMove[] => {
    const old = rowById(before.plan.projects).get(id);
    const finishes = [old === undefined ? null : before.schedule.projects[old].finish.day, schedule.projects[row].finish.day];
    return finishes[0] === null || finishes[0] === finishes[1]
      ? []
      : [{ projectId: id, name, before: finishes[0] as Day, after: finishes[1] as Day }];
  });
  return { tasks, projects };
}
