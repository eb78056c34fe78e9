// States again who works on an effort-sized task, and how much: everyone's hours and share of the day at once.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, deletedRows, type EditKind } from "./kind.ts";
import { assigneeName } from "./words.ts";

const schema = z.strictObject({
  kind: z.literal("setStaff"),
  taskId: z.string(),
  /** All labour of the task, as it shall be; what it had and is not named is removed. */
  rows: z.array(rowSchemas.assignments).max(1000),
  /** The task's effort, where the amount of work changes. */
  effortHours: rowSchemas.tasks.shape.effortHours,
});

export const setStaff: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { taskId, rows, effortHours }) => {
    const task = findRow(plan.tasks, taskId);
    if (!task) return { fault: faultText.gone("task") };
    const kept = new Set(rows.map(({ id }) => id));
    const changes = deletedRows(plan, "assignments", (row) => row.taskId === taskId && row.materialId === undefined && !kept.has(row.id));
    for (const row of rows) {
      const before = findRow(plan.assignments, row.id) ?? null;
      if (row.taskId !== taskId || (before && before.taskId !== taskId)) return { fault: faultText.gone("assignment") };
      changes.push({ list: "assignments", id: row.id, before, after: row, ...(!before && { next: null }) });
    }
    if (effortHours !== undefined && effortHours !== task.effortHours) {
      const made = changedRow(plan, "tasks", taskId, { effortHours });
      if ("changes" in made) changes.push(...made.changes);
    }
    return { changes };
  },
  words: (plan, { taskId, rows }) => {
    const name = findRow(plan.tasks, taskId)?.name ?? "";
    const added = rows.find(({ id }) => !findRow(plan.assignments, id));
    return added ? `assign ${assigneeName(plan, added)} to "${name}"` : `change who works on "${name}"`;
  },
};
