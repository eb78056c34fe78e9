// Changes that move dates, as the edits that make them.

import { movedTaskDates, movedWorkDates } from "../plan/statedDates.ts";
import type { Change } from "./change.ts";
import type { SingleEdit } from "./edit.ts";

/** The edit that sets the dates a change of a project, a task or an assignment has left. */
export function movedDatesEdit(change: Change): SingleEdit[] {
  const { id } = change;
  if (change.list === "projects" && change.after) return [{ kind: "changeProject", id, set: { start: change.after.start } }];
  if (change.list === "tasks" && change.after) return [{ kind: "changeTask", id, set: movedTaskDates(change.after, asItIs) }];
  if (change.list !== "assignments" || !change.after) return [];
  return [{ kind: "changeAssignment", id, set: movedWorkDates(change.after, asItIs) }];
}

const asItIs = (date: string): string => date;
