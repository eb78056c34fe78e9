// Sets keys of a link: its kind, its lag.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";
import { linkName } from "./words.ts";

const schema = z.strictObject({
  kind: z.literal("changeLink"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.links, ["id"])),
});

export const changeLink: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "links", id, set),
  words: (plan, { id }) => `change the link ${linkName(plan, findRow(plan.links, id))}`,
};
