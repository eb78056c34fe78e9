// Adds tasks as they were recorded: a line or a list, with who works on them and what they follow. One undo.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import type { Change } from "./change.ts";
import type { EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("addTasks"),
  tasks: z.array(rowSchemas.tasks).min(1).max(2_000),
  /** Id of the task they are put before; null for the end of the list. */
  next: z.string().nullable(),
  assignments: z.array(rowSchemas.assignments).max(10_000),
  links: z.array(rowSchemas.links).max(10_000),
});

export const addTasks: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { tasks, next, assignments, links }) => {
    const known = [...tasks.filter(({ id }) => rowById(plan.tasks).has(id)), ...links.filter(({ id }) => rowById(plan.links).has(id))];
    if (known.length > 0) return { fault: faultText.exists("task", known[0].id) };
    const before = next !== null && findRow(plan.tasks, next) ? next : null;
    return {
      changes: [
        ...tasks.map((row): Change => ({ list: "tasks", id: row.id, before: null, after: row, next: before })),
        ...assignments.map((row): Change => ({ list: "assignments", id: row.id, before: null, after: row, next: null })),
        ...links.map((row): Change => ({ list: "links", id: row.id, before: null, after: row, next: null })),
      ],
    };
  },
  words: (_, { tasks }) => (tasks.length === 1 ? `add the task "${tasks[0].name}"` : `add ${tasks.length} tasks`),
};
