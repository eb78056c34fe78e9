// Names of what an edit touches, for its phrase.
import { findRow } from "../plan/rows.ts";
import type { ActualCost, Assignment, Link, Plan } from "../plan/schema.ts";

/** The person, team, material or role of an assignment. */
export function assigneeName(plan: Plan, { personId, teamId, materialId, roleId }: Partial<Assignment>): string {
  if (personId !== undefined) return findRow(plan.people, personId)?.name ?? personId;
  if (teamId !== undefined) return findRow(plan.teams, teamId)?.name ?? teamId;
  if (materialId !== undefined) return findRow(plan.materials, materialId)?.name ?? materialId;
  return `an open ${findRow(plan.roles, roleId)?.name ?? "role"}`;
}

/** The name of the task that an assignment belongs to. */
export function taskNameOf(plan: Plan, assignmentId: string): string {
  return findRow(plan.tasks, findRow(plan.assignments, assignmentId)?.taskId)?.name ?? assignmentId;
}

/** A booking by what it is known by: its reference, else its supplier. */
export function bookingName(booking: ActualCost | undefined): string {
  const name = booking?.reference ?? booking?.supplier;
  return name === undefined ? `a booking of ${booking?.date ?? "no date"}` : `the booking "${name}"`;
}

/** The names of the two tasks that a link joins. */
export function linkName(plan: Plan, link: Link | undefined): string {
  const name = (id: string | undefined) => `"${findRow(plan.tasks, id)?.name ?? id}"`;
  return `${name(link?.from)} → ${name(link?.to)}`;
}
