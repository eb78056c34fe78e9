// Gives an assignment, or an opening, to a person: the hours and dates stay.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { changedRow, type EditKind } from "./kind.ts";
import { taskNameOf } from "./words.ts";

const schema = z.strictObject({ kind: z.literal("reassign"), id: z.string(), personId: z.string() });

export const reassign: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, personId }) => {
    if (!findRow(plan.people, personId)) return { fault: faultText.gone("person") };
    if (findRow(plan.assignments, id)?.materialId !== undefined) return { fault: faultText.notHere("a material") };
    return changedRow(plan, "assignments", id, { personId, teamId: null });
  },
  words: (plan, { id, personId }) => `reassign "${taskNameOf(plan, id)}" to ${findRow(plan.people, personId)?.name ?? personId}`,
};
