// A project as an outline: its tasks in plan order with dates, role, hours and people.

import type { Day } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { moneyLines } from "../cost/costs.ts";
import { taskOf } from "../cost/ledger.ts";
import { type MoneyGaps, moneyGaps } from "../cost/moneyGaps.ts";
import { type CostKind, costKinds } from "../cost/moneyKeys.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Assignment, Comment, Link, Project, Task } from "../plan/schema.ts";
import { isSummary } from "../plan/taskGraph.ts";
import { FINISHED, NO_DAY, UNTRACKED } from "../progress/progress.ts";
import type { Slack } from "../schedule/backward.ts";
import type { Conflict } from "../schedule/conflicts.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { type TaskProgress, taskProgress } from "../status/taskProgress.ts";
import { lookUp } from "../values/lookUp.ts";
import { isOpening } from "../work/work.ts";

/** Labour or material on a task. */
export interface OutlineWork {
  assignment: Assignment;
  /** Person, team, material or role, and which of them. */
  name: string;
  kind: "person" | "team" | "material" | "opening";
  /** Of material: what its quantity counts. */
  unit?: string;
  asked: number;
  placed: number;
  unplaced: number;
}

export interface OutlineTask {
  task: Task;
  depth: number;
  isSummary: boolean;
  isMilestone: boolean;
  /** Null for an unscheduled task. */
  dates: { start: Day; finish: Day; isPinned: boolean; driver: TaskDates["driver"]["kind"]; driverName: string | null } | null;
  /** Null for an unscheduled task. */
  slack: { total: number; free: number; isCritical: boolean; lateFinish: Day } | null;
  /** The conflicts of its dates, each with its ticks. */
  conflicts: Conflict[];
  /** Share that is done, 0 … 100; of a summary, that of what is below it, weighted by hours. */
  progress: number;
  /** Minutes worked before the status date, and those still to do: recorded where the project takes its past from what people
   * record, else as planned. */
  actual: number;
  remaining: number;
  /** Its project takes its past from what people record. */
  isTracked: boolean;
  /** The days it began and ended on; of a task that is not tracked, and before it began or ended, null. */
  began: Day | null;
  ended: Day | null;
  roleName: string | null;
  /** Minutes asked for by its labour and implicit opening; a summary adds up what is below it. */
  asked: number;
  placed: number;
  /** Unassigned minutes of the work that is needed. */
  open: number;
  unplaced: number;
  work: OutlineWork[];
  /** Minor units over the whole plan; a summary adds up what is below it. Expenses are those of the task alone. */
  cost: Record<CostKind, Money<"cost">>;
  /** In the order they were written. */
  comments: Comment[];
}

/** A link from or to a task of the project. */
export interface OutlineLink {
  link: Link;
  fromName: string;
  toName: string;
  /** The project of the other end, where that is another one. */
  otherProject: string | null;
  /** Both ends are critical and it decides the later one's start. */
  isCritical: boolean;
}

export interface Outline {
  project: Project;
  links: OutlineLink[];
  /** Ticks by which the finish misses the project's deadline; 0 where it holds or there is none. */
  missed: number;
  projectRow: number;
  clientName: string | null;
  leadName: string | null;
  start: Day;
  finish: Day;
  tasks: OutlineTask[];
  asked: number;
  open: number;
  /** The cost of the project over the whole plan, and the part of it that belongs to no task; minor units. */
  cost: OutlineTask["cost"];
  costWithoutTask: OutlineTask["cost"];
  gaps: MoneyGaps;
}

/** The outline of a project; null where there is none with this id. */
export function outlineOf(model: Model, projectId: string): Outline | null {
  const { plan, schedule } = model;
  const row = rowById(plan.projects).get(projectId);
  if (row === undefined) return null;
  const project = plan.projects[row];
  const conflicts = model.conflicts();
  const costs = costsByTask(model, projectId);
  const tasks = outlineTasks(model, projectId, conflicts, costs);
  const costWithoutTask = costs.get(NO_TASK) ?? noCost();
  const cost = { ...costWithoutTask };
  for (const { depth, cost: own } of tasks) if (depth === 0) for (const kind of costKinds) cost[kind] += own[kind];
  const leaves = tasks.filter(({ isSummary }) => !isSummary);
  return {
    project,
    links: outlineLinks(model, projectId),
    missed: conflicts.find((conflict) => conflict.projectId === projectId)?.ticks ?? 0,
    projectRow: row,
    clientName: plan.clients[rowById(plan.clients).get(project.clientId ?? "") ?? -1]?.name ?? null,
    leadName: plan.people[rowById(plan.people).get(project.leadId ?? "") ?? -1]?.name ?? null,
    start: schedule.projects[row].start.day,
    finish: schedule.projects[row].finish.day,
    tasks,
    asked: leaves.reduce((sum, { asked }) => sum + asked, 0),
    open: leaves.reduce((sum, { open }) => sum + open, 0),
    cost,
    costWithoutTask,
    gaps: moneyGaps(model.costsOfHorizon(), (own) => own === row),
  };
}

/** A project's tasks, each after its parent, siblings in plan order. */
function outlineTasks(
  model: Model,
  projectId: string,
  conflicts: readonly Conflict[],
  costs: ReadonlyMap<number, OutlineTask["cost"]>,
): OutlineTask[] {
  const { plan } = model;
  const conflictsByTask = byTask(conflicts);
  const commentsByTask = byTask(plan.comments);
  const children = new Map<string, number[]>();
  plan.tasks.forEach((task, row) => {
    if (task.projectId !== projectId) return;
    const siblings = children.get(task.parentId ?? "");
    if (siblings) siblings.push(row);
    else children.set(task.parentId ?? "", [row]);
  });
  const progress = taskProgress(model, [...children.values()].flat());
  const listed: OutlineTask[] = [];
  const visit = (row: number, depth: number): OutlineTask => {
    const entry = outlineTask(model, row, depth, progress);
    entry.conflicts = conflictsByTask.get(entry.task.id) ?? [];
    entry.comments = commentsByTask.get(entry.task.id) ?? [];
    entry.cost = { ...(costs.get(row) ?? noCost()) };
    listed.push(entry);
    const parts = (children.get(entry.task.id) ?? []).map((child) => visit(child, depth + 1));
    for (const part of parts) for (const key of ["asked", "placed", "open", "unplaced"] as const) entry[key] += part[key];
    for (const part of parts) for (const kind of costKinds) entry.cost[kind] += part.cost[kind];
    return entry;
  };
  for (const row of children.get("") ?? []) visit(row, 0);
  return listed;
}

const noCost = (): OutlineTask["cost"] => ({ labour: 0, material: 0, fixed: 0, expense: 0 });

/** The key under which `costsByTask` has the cost without a task. */
const NO_TASK = -1;

/** The cost of each task of a project over the horizon, by its row; tax if it is part of the cost. */
function costsByTask(model: Model, projectId: string): Map<number, OutlineTask["cost"]> {
  const { plan } = model;
  const costs = new Map<number, OutlineTask["cost"]>();
  const { lines } = moneyLines(model, { range: horizonOf(plan), grain: "year" }, rowById(plan.projects).get(projectId));
  for (const line of lines) {
    if (line.kind === "revenue" || (line.kind === "tax" && !plan.settings.taxInCost)) continue;
    const task = taskOf(model, line);
    const own = costs.get(task) ?? noCost();
    own[line.kind === "tax" ? "expense" : line.kind] += line.amounts.reduce((sum, amount) => sum + amount, 0);
    costs.set(task, own);
  }
  return costs;
}

function byTask<T extends { taskId?: string }>(list: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const own of list) {
    if (own.taskId === undefined) continue;
    const known = groups.get(own.taskId);
    if (known) known.push(own);
    else groups.set(own.taskId, [own]);
  }
  return groups;
}

function outlineLinks(model: Model, projectId: string): OutlineLink[] {
  const { plan, schedule } = model;
  const rows = rowById(plan.tasks);
  const slack = model.slack();
  return plan.links.flatMap((link): OutlineLink[] => {
    const [from, to] = [lookUp(rows, link.from), lookUp(rows, link.to)];
    const projects = [plan.tasks[from].projectId, plan.tasks[to].projectId];
    if (!projects.includes(projectId)) return [];
    const other = projects.find((id) => id !== projectId);
    const isDriver = schedule.of(to)?.driver.linkId === link.id;
    return [
      {
        link,
        fromName: plan.tasks[from].name,
        toName: plan.tasks[to].name,
        otherProject: other === undefined ? null : (findRow(plan.projects, other)?.name ?? null),
        isCritical: isDriver && (slack.of(from)?.isCritical ?? false) && (slack.of(to)?.isCritical ?? false),
      },
    ];
  });
}

function outlineTask(model: Model, row: number, depth: number, { percent, actual, remaining }: TaskProgress): OutlineTask {
  const { plan, schedule, work, placements } = model;
  const { stage, actualStart, actualFinish } = model.progress;
  const task = plan.tasks[row];
  const isAbove = isSummary(schedule.network.graph, row);
  const entry: OutlineTask = {
    task,
    depth,
    isSummary: isAbove,
    isMilestone: !isAbove && task.sizing === "duration" && task.durationDays === 0,
    dates: shownDates(model, schedule.of(row)),
    slack: shownSlack(model.slack().of(row)),
    conflicts: [],
    progress: Math.round(percent[row] / 100),
    actual: actual[row],
    remaining: remaining[row],
    isTracked: !isAbove && stage[row] !== UNTRACKED,
    began: actualStart[row] === NO_DAY ? null : actualStart[row],
    ended: stage[row] === FINISHED && actualStart[row] !== NO_DAY ? actualFinish[row] : null,
    roleName: plan.roles[rowById(plan.roles).get(task.roleId ?? "") ?? -1]?.name ?? null,
    asked: 0,
    placed: 0,
    open: 0,
    unplaced: 0,
    work: [],
    cost: noCost(),
    comments: [],
  };
  for (let at = work.byTask.first[row]; at < work.byTask.first[row + 1]; at++) {
    const own = work.byTask.members[at];
    entry.asked += placements.asked[own];
    entry.placed += placements.placed[own];
    entry.unplaced += placements.unplaced[own];
    if (isOpening(work, own)) entry.open += placements.asked[own];
    if (own < work.assignments) entry.work.push(outlineWork(model, own));
  }
  return entry;
}

function outlineWork({ plan, work, placements }: Model, row: number): OutlineWork {
  const assignment = plan.assignments[row];
  const sums = { asked: placements.asked[row], placed: placements.placed[row], unplaced: placements.unplaced[row] };
  const person = plan.people[work.person[row]];
  if (person) return { assignment, name: person.name, kind: "person", ...sums };
  const team = plan.teams[work.team[row]];
  if (team) return { assignment, name: team.name, kind: "team", ...sums };
  const material = plan.materials[rowById(plan.materials).get(assignment.materialId ?? "") ?? -1];
  if (material) return { assignment, name: material.name, kind: "material", unit: material.unit, ...sums };
  return { assignment, name: plan.roles[work.role[row]]?.name ?? "No role", kind: "opening", ...sums };
}

function shownSlack(slack: Slack | null): OutlineTask["slack"] {
  if (!slack) return null;
  const { total, free, isCritical, lateFinishDay } = slack;
  return { total, free, isCritical, lateFinish: lateFinishDay };
}

function shownDates({ plan }: Model, dates: TaskDates | null): OutlineTask["dates"] {
  if (!dates) return null;
  const link = plan.links[rowById(plan.links).get(dates.driver.linkId ?? "") ?? -1];
  const before = link && plan.tasks[rowById(plan.tasks).get(link.from) ?? -1];
  return {
    start: dates.start.day,
    finish: dates.finish.day,
    isPinned: dates.driver.kind === "pinned" && !dates.isSummary,
    driver: dates.driver.kind,
    driverName: before?.name ?? null,
  };
}
