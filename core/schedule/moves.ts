// The dates that an edit moved: from when to when, and why.
import type { Day } from "../calendar/day.ts";
import { findRow, formerRows, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { known, lookUp } from "../values/lookUp.ts";
import { type DriverKind, NO_DATES, type Schedule, SUM } from "./dates.ts";

export interface TaskMove {
  taskId: string;
  name: string;
  projectId: string;
  before: { start: Day; finish: Day };
  after: { start: Day; finish: Day };
  /** The bound that decides its start now, and the task that a deciding link comes from. */
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

/** A plan with its dates. */
interface Dated {
  plan: Plan;
  schedule: Schedule;
}

/** Leaves whose dates differ between two plans, but those named in `except`; and projects whose finish differs. */
export function movesOf(before: Dated, after: Dated, except: ReadonlySet<string> = new Set()): Moves {
  if (before.schedule === after.schedule) return { tasks: [], projects: [] };
  const { plan, schedule } = after;
  const tasks = movedRows(before, after)
    .filter((row) => !except.has(plan.tasks[row].id))
    .map((row) => taskMove(before, after, row));
  const known = rowById(before.plan.projects);
  const projects = plan.projects.flatMap(({ id, name }, row): ProjectMove[] => {
    const was = before.schedule.projects[known.get(id) ?? -1]?.finish.day;
    const is = schedule.projects[row].finish.day;
    return was === undefined || was === is ? [] : [{ projectId: id, name, before: was, after: is }];
  });
  return { tasks, projects };
}

/** Rows of leaves that had dates and have other ones. Columns are compared, so that nothing is made of what is. */
function movedRows(before: Dated, after: Dated): number[] {
  const former = formerRows(before.plan.tasks, after.plan.tasks);
  const [was, is] = [before.schedule.columns, after.schedule.columns];
  const rows: number[] = [];
  for (let row = 0; row < is.state.length; row++) {
    const old = former ? former[row] : row;
    if (old < 0 || was.state[old] === NO_DATES || is.state[row] === NO_DATES || is.state[row] === SUM) continue;
    if (was.startDay[old] !== is.startDay[row] || was.finishDay[old] !== is.finishDay[row]) rows.push(row);
  }
  return rows;
}

function taskMove(before: Dated, { plan, schedule }: Dated, row: number): TaskMove {
  const { id: taskId, name, projectId } = plan.tasks[row];
  const was = known(before.schedule.of(lookUp(rowById(before.plan.tasks), taskId)), "former date of a task that moved");
  const is = known(schedule.of(row), "date of a task that moved");
  const from = findRow(plan.tasks, findRow(plan.links, is.driver.linkId)?.from);
  return {
    taskId,
    name,
    projectId,
    before: { start: was.start.day, finish: was.finish.day },
    after: { start: is.start.day, finish: is.finish.day },
    because: { kind: is.driver.kind, fromName: from?.name ?? null },
  };
}
