// Deletes a task with all below it, their comments, assignments and links; expenses stay with the project.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import type { Expense, Plan } from "../plan/schema.ts";
import type { Change } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("deleteTask"),
  id: z.string(),
  /** Links what it follows to what follows it, finish to start, so that the order stays. */
  joins: z.boolean().optional(),
});

export const deleteTask: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, joins }) => (findRow(plan.tasks, id) ? deletionOf(plan, [id], joins) : { fault: faultText.gone("task") }),
  words: (plan, { id }) => `delete the task "${findRow(plan.tasks, id)?.name ?? id}"`,
};

/** The changes that delete tasks with all their subtasks. */
export function deletionOf(plan: Plan, ids: readonly string[], joins = false): { changes: Change[] } {
  const gone = withDescendants(plan, ids);
  return {
    changes: [
      ...plan.expenses.flatMap((expense) => detached(expense, gone)),
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

function detached(expense: Expense, gone: ReadonlySet<string>): Change[] {
  if (expense.taskId === undefined || !gone.has(expense.taskId)) return [];
  const { taskId: _, ...after } = expense;
  return [{ list: "expenses", id: expense.id, before: expense, after }];
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
