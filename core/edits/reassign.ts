// Gives an assignment, or an opening, to a person: the hours and dates stay. Of work that has begun only what remains is given.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow, rowById } from "../plan/rows.ts";
import { type Plan, rowSchemas } from "../plan/schema.ts";
import { addedRow, changedRow, type EditKind } from "./kind.ts";
import { partsOfBegun } from "./leaveRecorded.ts";
import { taskNameOf } from "./words.ts";

const { from: date } = rowSchemas.assignments.shape;
const schema = z.strictObject({
  kind: z.literal("reassign"),
  id: z.string(),
  personId: z.string(),
  /** The day it is, where the plan does not state the status date. */
  asOf: date.optional(),
});

export const reassign: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, personId, asOf }) => {
    if (!findRow(plan.people, personId)) return { fault: faultText.gone("person") };
    const assignment = findRow(plan.assignments, id);
    if (assignment?.materialId !== undefined) return { fault: faultText.notHere("a material") };
    const parts = assignment?.personId === personId ? null : assignment && partsOfBegun(plan, assignment, asOf);
    if (!parts) return changedRow(plan, "assignments", id, { personId, teamId: null });
    const kept = changedRow(plan, "assignments", id, parts.kept);
    const given = addedRow(plan, "assignments", { ...parts.given, id: restId(plan, id), personId }, null);
    if ("fault" in kept) return kept;
    return "fault" in given ? given : { changes: [...kept.changes, ...given.changes] };
  },
  words: (plan, { id, personId }) => `reassign "${taskNameOf(plan, id)}" to ${findRow(plan.people, personId)?.name ?? personId}`,
};

/** An id for what remains of an assignment, made from its own: the same edit has the same result wherever it is made. */
function restId({ assignments }: Plan, id: string): string {
  const known = rowById(assignments);
  for (let number = 1; ; number++) {
    const rest = `${id.slice(0, 100)}-rest-${number}`;
    if (!known.has(rest)) return rest;
  }
}
