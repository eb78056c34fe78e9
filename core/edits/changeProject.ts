// Sets keys of a project: name, client, lead, stage, start, deadline and the like.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeProject"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.projects, ["id"])),
});

export const changeProject: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "projects", id, set),
  words: (plan, { id }) => `change the project "${findRow(plan.projects, id)?.name ?? id}"`,
};
