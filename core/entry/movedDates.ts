// Changes that move dates, as the edits that make them.
import type { Change } from "../edits/change.ts";
import type { SingleEdit } from "../edits/edit.ts";

const dateKeys = ["start", "finish", "notBefore", "notAfter", "finishNotBefore", "finishNotAfter", "deadline"] as const;

/** The edit that sets the dates a change of a project, a task or an assignment has left. */
export function movedDatesEdit(change: Change): SingleEdit[] {
  const { id } = change;
  if (change.list === "projects" && change.after) return [{ kind: "changeProject", id, set: { start: change.after.start } }];
  if (change.list === "tasks" && change.after) {
    const { after } = change;
    const set = Object.fromEntries(dateKeys.flatMap((key) => (after[key] === undefined ? [] : [[key, after[key]]])));
    return [{ kind: "changeTask", id, set }];
  }
  if (change.list !== "assignments" || !change.after) return [];
  const { from, to, custom, customFrom } = change.after;
  return [{ kind: "changeAssignment", id, set: { from, to, custom, customFrom } }];
}
