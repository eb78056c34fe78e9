// Moves a task in the outline: below another one, or before another one. What is below it comes along.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { lookUp } from "../values/lookUp.ts";
import type { EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("moveTask"),
  id: z.string(),
  /** The summary it goes below; null for the project itself. */
  parentId: z.string().nullable(),
  /** Id of the task it is put before; null for the end of the list. */
  next: z.string().nullable(),
});

export const moveTask: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, parentId, next }) => {
    const task = findRow(plan.tasks, id);
    if (!task || (parentId !== null && !findRow(plan.tasks, parentId))) return { fault: faultText.gone("task") };
    const parent = findRow(plan.tasks, parentId ?? undefined);
    const isNewSummary = parent !== undefined && !plan.tasks.some((row) => row.parentId === parent.id);
    if (isNewSummary && plan.assignments.some(({ taskId }) => taskId === parent.id)) return { fault: faultText.hasWork(parent.name) };
    const { parentId: _, ...rest } = task;
    const after = parentId === null ? rest : { ...rest, parentId };
    const follows = plan.tasks[lookUp(rowById(plan.tasks), id) + 1]?.id ?? null;
    if (next === id || next === follows) return { changes: [{ list: "tasks", id, before: task, after }] };
    return {
      changes: [
        { list: "tasks", id, before: task, after: null, next: follows },
        { list: "tasks", id, before: null, after, next },
      ],
    };
  },
  words: (plan, { id }) => `move the task "${findRow(plan.tasks, id)?.name ?? id}"`,
};
