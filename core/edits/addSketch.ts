// Begins a sketch: a named list of changes that are not made.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addSketch"), sketch: rowSchemas.sketches });

export const addSketch: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { sketch }) => addedRow(plan, "sketches", sketch, null),
  words: (_, { sketch }) => `create the sketch "${sketch.name}"`,
};
