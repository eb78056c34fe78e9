// What carries a name has to carry that of whoever makes it: comments, and the steps of requests.
import { isSame } from "../plan/same.ts";
import type { Comment, WorkRequest } from "../plan/schema.ts";
import type { Change } from "./change.ts";

/** True where changes leave nothing new under a name other than `name`, whatever kind of edit has made them. */
export function isInOwnName(changes: readonly Change[], name: string): boolean {
  return changes.every((change) => {
    if (change.list === "comments") return isOwnComment(change.before, change.after, name);
    return change.list !== "requests" || areOwnSteps(change.before, change.after, name);
  });
}

function isOwnComment(before: Comment | null, after: Comment | null, name: string): boolean {
  return after === null || isSame(before, after) || (after.author === name && (before === null || before.author === name));
}

function areOwnSteps(before: WorkRequest | null, after: WorkRequest | null, name: string): boolean {
  const former = before?.history ?? [];
  const steps = after?.history ?? [];
  return steps.every((step, at) => (at < former.length ? isSame(step, former[at]) : step.by === name));
}
