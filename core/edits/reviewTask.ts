// Accepts work that is said to be done, or sends it back with a reason.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("reviewTask"),
  id: z.string(),
  /** Null where it is accepted; else why it is sent back. */
  reason: z.string().trim().min(1).max(20_000).nullable(),
});

export const reviewTask: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, reason }) => {
    const task = findRow(plan.tasks, id);
    if (!task) return { fault: faultText.gone("task") };
    if (task.state !== "done") return { fault: faultText.notDone(task.name) };
    if (reason === null) return changedRow(plan, "tasks", id, { review: { state: "accepted" } });
    return changedRow(plan, "tasks", id, { state: "underWay", review: { state: "sentBack", reason } });
  },
  words: (plan, { id, reason }) => `${reason === null ? "accept" : "send back"} "${findRow(plan.tasks, id)?.name ?? id}"`,
};
