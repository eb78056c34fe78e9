// The rows of work of a plan: its assignments, then one implicit opening for every task with an effort, then recorded hours that
// are no person's own assignment.

import { summaryIds } from "../plan/check.ts";
import { carryColumn, type Grouping, groupRows, type RowIndex, rowById } from "../plan/rows.ts";
import type { Assignment, Plan } from "../plan/schema.ts";
import type { ActualLine } from "../recorded/actuals.ts";
import { lookUp } from "../values/lookUp.ts";
import { NO_FROM, NO_TO, statementOf } from "./statement.ts";

/** Work by row number, ids turned into row numbers. Rows 0 … assignments−1 are the plan's assignments in order, the
 * rest are the implicit openings of `effortTasks` in order; −1 represents none. */
export interface Work {
  assignments: number;
  rows: number;
  /** The first row of recorded hours of team members, and of people without an assignment; `rows` where there are none. */
  firstRecorded: number;
  /** Of recorded hours of a team's member the row of the team's assignment; −1 of all others. */
  partOf: Int32Array;
  task: Int32Array;
  project: Int32Array;
  person: Int32Array;
  team: Int32Array;
  /** The role the work is made in: the assignment's, else its task's. */
  role: Int32Array;
  /** 1 for material: it asks for no minutes. */
  isMaterial: Uint8Array;
  isPencilled: Uint8Array;
  /** 1 for work that a lead has asked for and nobody has confirmed. */
  isAsked: Uint8Array;
  /** Of each assignment its statement: the way, the amount, the shape and its own first and last day. */
  way: Uint8Array;
  amount: Int32Array;
  shape: Uint8Array;
  from: Int32Array;
  to: Int32Array;
  /** Task rows that have an implicit opening, in plan order. */
  effortTasks: Int32Array;
  /** Work row of a task's implicit opening, by task row; −1 where it has none. */
  implicitRow: Int32Array;
  byTask: Grouping;
  byPerson: Grouping;
}

/** Lays out the work of a plan.
 * @param lines Actual minutes of its tracked projects. */
export function workOf(plan: Plan, lines: readonly ActualLine[] = []): Work {
  const summaries = summaryIds(plan);
  const effortTasks = new Int32Array(
    plan.tasks.flatMap((task, row) => (task.effortHours !== undefined && !summaries.has(task.id) ? [row] : [])),
  );
  const assignments = plan.assignments.length;
  const firstRecorded = assignments + effortTasks.length;
  const recorded = lines.filter(({ assignment, isOfTeam }) => assignment < 0 || isOfTeam);
  const rows = firstRecorded + recorded.length;
  const column = () => new Int32Array(rows).fill(-1);
  const work: Omit<Work, "byTask" | "byPerson"> = {
    assignments,
    rows,
    firstRecorded,
    partOf: column(),
    task: column(),
    project: column(),
    person: column(),
    team: column(),
    role: column(),
    isMaterial: new Uint8Array(rows),
    isPencilled: new Uint8Array(rows),
    isAsked: new Uint8Array(rows),
    way: new Uint8Array(rows),
    amount: new Int32Array(rows),
    shape: new Uint8Array(rows),
    from: new Int32Array(rows).fill(NO_FROM),
    to: new Int32Array(rows).fill(NO_TO),
    effortTasks,
    implicitRow: new Int32Array(plan.tasks.length).fill(-1),
  };
  const projects = rowById(plan.projects);
  for (let row = 0; row < assignments; row++) writeAssignment(plan, work, row);
  effortTasks.forEach((task, at) => {
    const row = assignments + at;
    work.task[row] = task;
    work.implicitRow[task] = row;
    work.role[row] = rowOr(rowById(plan.roles), plan.tasks[task].roleId);
    work.project[row] = lookUp(projects, plan.tasks[task].projectId);
  });
  recorded.forEach((line, at) => {
    writeRecorded(plan, work, firstRecorded + at, line);
  });
  return grouped(plan, work);
}

/** The work of a plan in which single assignments were changed in place; all else is shared with `work`. */
export function workChanged(plan: Plan, work: Work, rows: readonly number[]): Work {
  const next = {
    ...work,
    task: work.task.slice(),
    project: work.project.slice(),
    person: work.person.slice(),
    team: work.team.slice(),
    role: work.role.slice(),
    isMaterial: work.isMaterial.slice(),
    isPencilled: work.isPencilled.slice(),
    isAsked: work.isAsked.slice(),
    way: work.way.slice(),
    amount: work.amount.slice(),
    shape: work.shape.slice(),
    from: work.from.slice(),
    to: work.to.slice(),
  };
  for (const row of rows) writeAssignment(plan, next, row);
  return grouped(plan, next);
}

/** The work of a plan in which assignments have come or gone and single ones were changed, while tasks, projects, people, teams
 * and roles are in the rows they was in.
 * @param former By assignment row the former one, −1 for a new one. @param changed Rows that stayed and say something else. */
export function workWithRows(plan: Plan, work: Work, former: Int32Array, changed: readonly number[]): Work {
  const assignments = plan.assignments.length;
  const rows = assignments + work.effortTasks.length;
  const carry = <C extends Int32Array | Uint8Array>(column: C, into: C): C => {
    carryColumn(column, former, into).set(column.subarray(work.assignments), assignments);
    return into;
  };
  const ints = (column: Int32Array) => carry(column, new Int32Array(rows));
  const bytes = (column: Uint8Array) => carry(column, new Uint8Array(rows));
  const next: Omit<Work, "byTask" | "byPerson"> = {
    assignments,
    rows,
    firstRecorded: rows,
    partOf: new Int32Array(rows).fill(-1),
    task: ints(work.task),
    project: ints(work.project),
    person: ints(work.person),
    team: ints(work.team),
    role: ints(work.role),
    isMaterial: bytes(work.isMaterial),
    isPencilled: bytes(work.isPencilled),
    isAsked: bytes(work.isAsked),
    way: bytes(work.way),
    amount: ints(work.amount),
    shape: bytes(work.shape),
    from: ints(work.from),
    to: ints(work.to),
    effortTasks: work.effortTasks,
    implicitRow: work.implicitRow.map((row) => (row < 0 ? row : row - work.assignments + assignments)),
  };
  for (let row = 0; row < assignments; row++) if (former[row] < 0) writeAssignment(plan, next, row);
  for (const row of changed) writeAssignment(plan, next, row);
  return grouped(plan, next);
}

function writeAssignment(plan: Plan, work: Omit<Work, "byTask" | "byPerson">, row: number): void {
  const assignment: Assignment = plan.assignments[row];
  const task = lookUp(rowById(plan.tasks), assignment.taskId);
  work.task[row] = task;
  work.project[row] = lookUp(rowById(plan.projects), plan.tasks[task].projectId);
  work.person[row] = rowOr(rowById(plan.people), assignment.personId);
  work.team[row] = rowOr(rowById(plan.teams), assignment.teamId);
  work.role[row] = rowOr(rowById(plan.roles), assignment.roleId ?? plan.tasks[task].roleId);
  work.isMaterial[row] = assignment.materialId === undefined ? 0 : 1;
  work.isPencilled[row] = assignment.firmness === "pencilled" ? 1 : 0;
  work.isAsked[row] = assignment.firmness === "asked" ? 1 : 0;
  const { way, amount, shape, from, to } = statementOf(assignment);
  work.way[row] = way;
  work.amount[row] = amount;
  work.shape[row] = shape;
  work.from[row] = from;
  work.to[row] = to;
}

/** Hours of a team's member are made in the role of the team's assignment, and as firm as it; unplanned ones in the task's role. */
function writeRecorded(plan: Plan, work: Omit<Work, "byTask" | "byPerson">, row: number, { task, person, assignment }: ActualLine): void {
  work.task[row] = task;
  work.project[row] = lookUp(rowById(plan.projects), plan.tasks[task].projectId);
  work.person[row] = person;
  work.partOf[row] = assignment;
  work.role[row] = assignment < 0 ? rowOr(rowById(plan.roles), plan.tasks[task].roleId) : work.role[assignment];
  if (assignment < 0) return;
  work.isPencilled[row] = work.isPencilled[assignment];
  work.isAsked[row] = work.isAsked[assignment];
}

function grouped(plan: Plan, work: Omit<Work, "byTask" | "byPerson">): Work {
  return { ...work, byTask: groupRows(work.task, plan.tasks.length), byPerson: groupRows(work.person, plan.people.length) };
}

/** For each row of work its row in a former one, of assignments by their ids, of implicit openings by their tasks; −1 for
 * new ones, null where all stayed as they were.
 * @param former By new row of each list the former one; null where its rows stayed as they were. */
export function formerWorkRows(
  before: Work,
  after: Work,
  { tasks, assignments }: { tasks: Int32Array | null; assignments: Int32Array | null },
): Int32Array | null {
  if (before === after || (!tasks && !assignments && before.effortTasks === after.effortTasks)) return null;
  const former = new Int32Array(after.rows);
  for (let row = 0; row < after.assignments; row++) former[row] = assignments ? assignments[row] : row;
  for (let row = after.assignments; row < after.rows; row++) {
    const task = tasks ? tasks[after.task[row]] : after.task[row];
    former[row] = task < 0 ? -1 : before.implicitRow[task];
  }
  return former;
}

/** True of hours that are recorded and belong to no assignment of the person. */
export const isRecorded = (work: Work, row: number): boolean => row >= work.firstRecorded;

/** True where a row has neither a person nor a team: a person is needed. */
export function isOpening(work: Work, row: number): boolean {
  return work.person[row] < 0 && work.team[row] < 0 && work.isMaterial[row] === 0;
}

function rowOr(rows: RowIndex, id: string | undefined): number {
  return id === undefined ? -1 : (rows.get(id) ?? -1);
}
