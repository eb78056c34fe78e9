// Writes a change down in a sketch, after those that are there.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("drawInSketch"), id: z.string(), entry: rowSchemas.sketches.shape.edits.unwrap() });

export const drawInSketch: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, entry }) => {
    const sketch = findRow(plan.sketches, id);
    if (!sketch) return { fault: faultText.gone("sketch") };
    return changedRow(plan, "sketches", id, { edits: [...sketch.edits, entry] });
  },
  words: (plan, { id, entry }) => `${entry.words}, in the sketch "${findRow(plan.sketches, id)?.name ?? id}"`.slice(0, 300),
};
