// Deletes a baseline; what it was compared with stays.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteBaseline"), id: z.string() });

export const deleteBaseline: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "baselines", id),
  words: (plan, { id }) => `delete the baseline "${findRow(plan.baselines, id)?.name ?? id}"`,
};
