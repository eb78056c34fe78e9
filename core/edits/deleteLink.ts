// Takes a link away.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";
import { linkName } from "./words.ts";

const schema = z.strictObject({ kind: z.literal("deleteLink"), id: z.string() });

export const deleteLink: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "links", id),
  words: (plan, { id }) => `remove the link ${linkName(plan, findRow(plan.links, id))}`,
};
