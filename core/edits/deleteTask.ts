// Deletes a task with all below it, their comments, assignments and links; expenses stay with the project.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import type { Plan, Row } from "../plan/schema.ts";
import { type Change, changeOf } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("deleteTask"),
  id: z.string(),
  /** Links what it follows to what follows it, finish to start, so that the order stays. */
  joins: z.boolean().optional(),
});

export const deleteTask: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, joins }) =>
    findRow(plan.tasks, id) ? (recordedFault(plan, [id]) ?? deletionOf(plan, [id], joins)) : { fault: faultText.gone("task") },
  words: (plan, { id }) => `delete the task "${findRow(plan.tasks, id)?.name ?? id}"`,
};

/** The reason why tasks cannot be deleted: hours recorded on one of them or below it; null where there are none. */
export function recordedFault(plan: Plan, ids: readonly string[]): { fault: string } | null {
  if (plan.timeEntries.length === 0) return null;
  const gone = withDescendants(plan, ids);
  const taskId = plan.timeEntries.find((entry) => gone.has(entry.taskId ?? ""))?.taskId;
  return taskId === undefined ? null : { fault: faultText.hoursRecorded(findRow(plan.tasks, taskId)?.name ?? taskId) };
}

/** The changes that delete tasks with all their subtasks. */
export function deletionOf(plan: Plan, ids: readonly string[], joins = false): { changes: Change[] } {
  const gone = withDescendants(plan, ids);
  return {
    changes: [
      ...plan.expenses.flatMap((expense) => detached("expenses", expense, gone)),
      ...plan.actualCosts.flatMap((booking) => detached("actualCosts", booking, gone)),
      ...deletedRows(plan, "requests", (row) => gone.has(row.taskId)),
      ...deletedRows(plan, "comments", (row) => gone.has(row.taskId)),
      ...deletedRows(plan, "links", (row) => gone.has(row.from) || gone.has(row.to)),
      ...deletedRows(plan, "assignments", (row) => gone.has(row.taskId)),
      ...deletedRows(plan, "tasks", (row) => gone.has(row.id)),
      ...(joins ? joiningLinks(plan, gone) : []),
    ],
  };
}

/** The ids of tasks and of all tasks below them. */
export function withDescendants(plan: Plan, ids: readonly string[]): Set<string> {
  const all = new Set(ids);
  for (let grown = 0; grown < all.size; ) {
    grown = all.size;
    for (const task of plan.tasks) if (task.parentId !== undefined && all.has(task.parentId)) all.add(task.id);
  }
  return all;
}

/** An expense or booking of a task that is gone stays with the project. */
function detached<L extends "expenses" | "actualCosts">(list: L, row: Row<L>, gone: ReadonlySet<string>): Change[] {
  if (row.taskId === undefined || !gone.has(row.taskId)) return [];
  const { taskId: _, ...after } = row;
  return [changeOf(list, { id: row.id, before: row, after: after as Row<L> })];
}

/** Finish-to-start links from each task before the gap to each after it, where there is none yet. */
function joiningLinks({ links }: Plan, gone: ReadonlySet<string>): Change[] {
  const into = links.filter(({ from, to }) => gone.has(to) && !gone.has(from));
  const outOf = links.filter(({ from, to }) => gone.has(from) && !gone.has(to));
  const known = new Set(links.map(({ from, to }) => `${from} ${to}`));
  return into.flatMap(({ id: before, from }) =>
    outOf.flatMap(({ id: after, to }): Change[] => {
      if (from === to || known.has(`${from} ${to}`)) return [];
      known.add(`${from} ${to}`);
      const id = `${before}+${after}`.slice(0, 120);
      return [{ list: "links", id, before: null, after: { id, from, to, kind: "FS" }, next: null }];
    }),
  );
}
