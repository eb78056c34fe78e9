// Rows that carry a name must carry that of their maker: comments, notes, sketches, and the steps of requests and enquiries. A
// request may be recorded on behalf of the lead of the project, and of nobody else.
import { findRow } from "../plan/rows.ts";
import type { Comment, Enquiry, Note, Plan, WorkRequest } from "../plan/schema.ts";
import { isSame } from "../values/same.ts";
import type { Change } from "./change.ts";

/** True where changes leave nothing new under a name other than `name`, regardless of the kind of edit.
 * @param plan As the changes leave it. */
export function isInOwnName(plan: Plan, changes: readonly Change[], name: string): boolean {
  return changes.every((change) => {
    if (change.list === "comments") return isOwn(change.before, change.after, name, ({ author }) => author);
    if (change.list === "sketches") return change.before !== null || change.after === null || change.after.by === name;
    if (change.list === "enquiries") return areOwnAnswers(change.before, change.after, name);
    if (change.list === "notes") return isOwn(change.before, change.after, name, ({ by }) => by);
    return change.list !== "requests" || areOwnSteps(plan, change.before, change.after, name);
  });
}

/** True where nothing of anyone else's is changed, and nothing new is said under another name. */
function isOwn<R extends Comment | Note>(before: R | null, after: R | null, name: string, authorOf: (row: R) => string): boolean {
  return after === null || isSame(before, after) || (authorOf(after) === name && (before === null || authorOf(before) === name));
}

function areOwnSteps(plan: Plan, before: WorkRequest | null, after: WorkRequest | null, name: string): boolean {
  const former = before?.history ?? [];
  const steps = after?.history ?? [];
  return steps.every((step, at) => {
    if (at < former.length) return isSame(step, former[at]);
    return step.by === name || (at === 0 && step.step === "asked" && step.by === leadOf(plan, after?.taskId));
  });
}

/** A requester is the user; each answer is in the user's own name. */
function areOwnAnswers(before: Enquiry | null, after: Enquiry | null, name: string): boolean {
  const former = before?.history ?? [];
  return (after?.history ?? []).every((step, at) =>
    at < former.length ? isSame(step, former[at]) : step.by === name || (at === 0 && step.step === "received"),
  );
}

function leadOf(plan: Plan, taskId: string | undefined): string | undefined {
  const project = findRow(plan.projects, findRow(plan.tasks, taskId)?.projectId);
  return findRow(plan.people, project?.leadId)?.name;
}
