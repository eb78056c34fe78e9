// Takes a named view away.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteView"), id: z.string() });

export const deleteView: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "views", id),
  words: (plan, { id }) => `delete the view "${findRow(plan.views, id)?.name ?? id}"`,
};
