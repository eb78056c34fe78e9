// Answers a request for time off: granted, declined with a reason, or other dates suggested.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { timeOffSchema } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const { reason, suggested } = timeOffSchema.shape;
const schema = z.strictObject({
  kind: z.literal("answerTimeOff"),
  personId: z.string(),
  id: z.string(),
  /** `requested` with `suggested` dates keeps the request open. */
  state: timeOffSchema.shape.state,
  reason,
  suggested,
});

export const answerTimeOff: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { personId, id, state, reason, suggested }) => {
    const entries = findRow(plan.people, personId)?.timeOff ?? [];
    if (!entries.some((entry) => entry.id === id)) return { fault: faultText.gone("time off") };
    if (state === "declined" && !reason?.trim()) return { fault: faultText.needs("a reason for declining") };
    const answered = entries.map((entry) => {
      if (entry.id !== id) return entry;
      const { reason: _, suggested: __, ...kept } = entry;
      return { ...kept, state, ...(reason?.trim() && { reason: reason.trim() }), ...(suggested && { suggested }) };
    });
    return changedRow(plan, "people", personId, { timeOff: answered });
  },
  words: (plan, { personId, state }) => `${verbs[state]} time off of ${findRow(plan.people, personId)?.name ?? personId}`,
};

const verbs = { approved: "approve", declined: "decline", requested: "suggest other dates for" } as const;
