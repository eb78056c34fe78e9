// The effect of dragging an item of the tray: work to a person, a task without dates to a day.

import { type Day, formatDay } from "../calendar/day.ts";
import type { Edit } from "../edits/edit.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";

/** Something that waits, as far as it is of interest here. */
interface Waiting {
  kind: string;
  taskId: string;
  assignmentId?: string;
  minutes: number;
}

const HOURS_A_DAY = 8;
/** Days of a task of which nothing says how long it takes. */
const USUAL_DAYS = 5;

/** The edit that gives an item's work to a person; null where the item is not about work that a person can have.
 * @param newId Makes the id of an assignment that is added. */
export function giveToPerson(item: Waiting, personId: string, newId: (stem: string) => string): Edit | null {
  if (item.kind === "conflict" || item.kind === "noRole" || item.kind === "noEstimate") return null;
  if (item.assignmentId !== undefined) return { kind: "reassign", id: item.assignmentId, personId };
  const hours = Math.round(item.minutes / 0.6) / 100;
  return hours > 0 ? { kind: "addAssignment", assignment: { id: newId("work"), taskId: item.taskId, personId, hours } } : null;
}

/** The edit that has a task without dates begin on a day, no earlier: as many working days as its effort takes one
 * person, and what decides it stays in sight. Null for anything else. */
export function beginOnDay(plan: Plan, item: Waiting, day: Day): Edit | null {
  const task = findRow(plan.tasks, item.taskId);
  if (item.kind !== "noDates" || !task) return null;
  const durationDays = task.effortHours === undefined ? USUAL_DAYS : Math.max(1, Math.ceil(task.effortHours / HOURS_A_DAY));
  return { kind: "changeTask", id: task.id, set: { sizing: "duration", durationDays, notBefore: formatDay(day) } };
}
