// Sets the same keys of many tasks at once.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import type { Change } from "./change.ts";
import { reviewed } from "./changeTask.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeTasks"),
  ids: z.array(z.string()).min(1).max(20_000),
  set: z.strictObject(settable(rowSchemas.tasks, ["id", "projectId", "parentId", "name", "review"])),
});

export const changeTasks: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { ids, set }) => {
    const changes: Change[] = [];
    for (const id of new Set(ids)) {
      const made = changedRow(plan, "tasks", id, reviewed(findRow(plan.tasks, id), set));
      if ("fault" in made) return made;
      changes.push(...made.changes);
    }
    return { changes };
  },
  words: (plan, { ids }) =>
    ids.length === 1 ? `change the task "${findRow(plan.tasks, ids[0])?.name ?? ids[0]}"` : `change ${ids.length} tasks`,
};
