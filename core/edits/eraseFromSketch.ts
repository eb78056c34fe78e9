// Takes changes out of a sketch: they are no longer wanted, or have been made.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { MOST_WITHIN } from "../plan/limits.ts";
import { findRow } from "../plan/rows.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("eraseFromSketch"),
  id: z.string(),
  entryIds: z.array(z.string()).min(1).max(MOST_WITHIN.edits),
});

export const eraseFromSketch: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, entryIds }) => {
    const sketch = findRow(plan.sketches, id);
    if (!sketch) return { fault: faultText.gone("sketch") };
    return changedRow(plan, "sketches", id, { edits: sketch.edits.filter((entry) => !entryIds.includes(entry.id)) });
  },
  words: (plan, { id, entryIds }) => `remove ${entryIds.length} of the changes from the sketch "${findRow(plan.sketches, id)?.name ?? id}"`,
};
