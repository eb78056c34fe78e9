// The signals of a sound plan: each a kind, a subject and a sentence.
import type { Costs } from "../cost/costs.ts";
import { summaryIds } from "../plan/check.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan, Project, Task } from "../plan/schema.ts";

export interface Signal {
  kind: "noDates" | "noRole" | "missingRate" | "missingExchangeRate" | "marginBelowTarget";
  /** Id of the task, assignment or project it is about. */
  subject: string;
  message: string;
}

/** All signals of a plan, each once for a kind and subject. @param costs Over any range. */
export function signalsOf(plan: Plan, costs: Costs): Signal[] {
  return [...taskSignals(plan), ...rateSignals(plan, costs)];
}

/** Leaves without dates, and efforts without a role to do them. */
function taskSignals(plan: Plan): Signal[] {
  const summaries = summaryIds(plan);
  return plan.tasks
    .filter(({ id }) => !summaries.has(id))
    .flatMap((task) => [
      ...(task.sizing === undefined ? [noDates(task)] : []),
      ...(task.effortHours !== undefined && task.roleId === undefined ? [noRole(task)] : []),
    ]);
}

/** Work that costs or earns nothing on some day, because a rate or an exchange rate is missing. A task and an assignment of one
 * id are one subject. */
export function rateSignals(plan: Plan, { missingRates, missingExchangeRates }: Costs): Signal[] {
  const once = (ids: readonly string[]) => [...new Set(ids)];
  return [
    ...once(missingRates).map((id) => missingRate(plan, id)),
    ...once(missingExchangeRates).map((id) => missingExchangeRate(plan, id)),
  ];
}

function noDates({ id, name }: Task): Signal {
  return { kind: "noDates", subject: id, message: `"${name}" has no dates. Give it dates, a duration or an effort.` };
}

function noRole({ id, name }: Task): Signal {
  return { kind: "noRole", subject: id, message: `"${name}" has an effort and no role. Add its role.` };
}

/** Hours or material without a rate in force, on an assignment or on a task's implicit opening. */
function missingRate(plan: Plan, subject: string): Signal {
  const assignment = findRow(plan.assignments, subject);
  const task = findRow(plan.tasks, assignment?.taskId ?? subject);
  const person = findRow(plan.people, assignment?.personId)?.name;
  const who = person ?? findRow(plan.roles, assignment?.roleId ?? task?.roleId)?.name;
  const whose = who === undefined ? "" : ` for ${who}`;
  const message = `"${task?.name ?? subject}" has work without a rate: none is in force${whose}. Add one to the project's rate tables.`;
  return { kind: "missingRate", subject, message };
}

/** Work priced in another currency on a day without an exchange rate. */
function missingExchangeRate(plan: Plan, subject: string): Signal {
  const task = findRow(plan.tasks, findRow(plan.assignments, subject)?.taskId ?? subject);
  const message = `"${task?.name ?? subject}" has days that count as 0: no exchange rate is in force for its rates. Add one from that day or earlier.`;
  return { kind: "missingExchangeRate", subject, message };
}

/** A project that earns less of its revenue than it is meant to. */
export function marginBelowTarget(project: Project, margin: number, goal: number): Signal {
  return {
    kind: "marginBelowTarget",
    subject: project.id,
    message: `"${project.name}" has a margin of ${margin / 100}%, below its goal of ${goal / 100}%.`,
  };
}
