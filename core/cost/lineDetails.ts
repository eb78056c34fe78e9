// The subject of a line of money, by ids and names.
import type { Placed } from "../placing/placed.ts";
import { findRow } from "../plan/rows.ts";
import { isRecorded } from "../work/work.ts";
import type { MoneyLine } from "./costs.ts";
import { labourRowOf, taskOf } from "./ledger.ts";

/** The subject of a line, by ids: it stays valid when rows are added or deleted. */
export interface MoneySubject {
  kind: MoneyLine["kind"];
  projectId: string;
  assignmentId?: string;
  taskId?: string;
  expenseId?: string;
  actualCostId?: string;
  /** Of recorded hours that are no assignment of the person. */
  personId?: string;
}

export interface LineDetails {
  subject: MoneySubject;
  projectName: string;
  projectRow: number;
  /** The task, the expense, or what a booking is known by. */
  name: string;
  /** The person, team, role or material; the supplier. Null for nobody yet. */
  who: string | null;
}

/** The subject of a line, and who does or delivers it. */
export function lineDetails(model: Placed, line: MoneyLine): LineDetails {
  const { plan, work } = model;
  const { kind, project, row, booking } = line;
  const { id: projectId, name: projectName } = plan.projects[project];
  const common = { projectName, projectRow: project };
  if (booking !== undefined) {
    const { id: actualCostId, supplier = null, reference, note } = plan.actualCosts[booking];
    return { ...common, subject: { kind, projectId, actualCostId }, name: reference ?? note ?? "Booking", who: supplier };
  }
  if (kind === "expense" || kind === "tax") {
    const { id: expenseId, name, supplier = null } = plan.expenses[row];
    return { ...common, subject: { kind, projectId, expenseId }, name, who: supplier };
  }
  const task = plan.tasks[taskOf(model, line)];
  if (row < 0 || kind === "fixed")
    return { ...common, subject: { kind, projectId, taskId: task?.id }, name: task?.name ?? projectName, who: null };
  const assignment = plan.assignments[row];
  const personId = isRecorded(work, row) ? { personId: plan.people[work.person[row]].id } : {};
  const subject = { kind, projectId, ...(assignment ? { assignmentId: assignment.id } : { taskId: task.id, ...personId }) };
  const who =
    labourRowOf(model, line) < 0
      ? findRow(plan.materials, assignment?.materialId)?.name
      : (plan.people[work.person[row]]?.name ?? findRow(plan.teams, assignment?.teamId)?.name ?? plan.roles[work.role[row]]?.name);
  return { ...common, subject, name: task.name, who: who ?? null };
}
