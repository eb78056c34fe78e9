// Deletes several tasks with all below them, as one step.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { deletionOf, recordedFault } from "./deleteTask.ts";
import type { EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteTasks"), ids: z.array(z.string()).min(1).max(20_000) });

export const deleteTasks: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { ids }) =>
    ids.every((id) => findRow(plan.tasks, id)) ? (recordedFault(plan, ids) ?? deletionOf(plan, ids)) : { fault: faultText.gone("task") },
  words: (plan, { ids }) =>
    ids.length === 1 ? `delete the task "${findRow(plan.tasks, ids[0])?.name ?? ids[0]}"` : `delete ${ids.length} tasks`,
};
