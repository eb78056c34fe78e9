// Takes an entry of time off away.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteTimeOff"), personId: z.string(), id: z.string() });

export const deleteTimeOff: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { personId, id }) => {
    const entries = findRow(plan.people, personId)?.timeOff ?? [];
    if (!entries.some((entry) => entry.id === id)) return { fault: faultText.gone("time off") };
    const kept = entries.filter((entry) => entry.id !== id);
    return changedRow(plan, "people", personId, { timeOff: kept.length > 0 ? kept : null });
  },
  words: (plan, { personId }) => `delete time off of ${findRow(plan.people, personId)?.name ?? personId}`,
};
