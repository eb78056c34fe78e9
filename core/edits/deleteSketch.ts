// Throws a sketch away; what was adopted of it stays.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteSketch"), id: z.string() });

export const deleteSketch: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "sketches", id),
  words: (plan, { id }) => `delete the sketch "${findRow(plan.sketches, id)?.name ?? id}"`,
};
