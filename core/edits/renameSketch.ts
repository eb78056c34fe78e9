// Gives a sketch another name.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("renameSketch"), id: z.string(), name: rowSchemas.sketches.shape.name });

export const renameSketch: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, name }) => changedRow(plan, "sketches", id, { name }),
  words: (plan, { id }) => `rename the sketch "${findRow(plan.sketches, id)?.name ?? id}"`,
};
