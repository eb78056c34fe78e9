// Moves recorded hours on: submitted by the person, approved or returned by the person responsible, and withdrawn again.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { rowSchemas, type TimeEntry } from "../plan/schema.ts";
import { changeOf } from "./change.ts";
import type { EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("decideHours"),
  ids: z.array(z.string()).min(1).max(5_000),
  state: z.enum(["draft", "submitted", "approved", "returned"]),
  /** The reason for returning them. */
  reason: rowSchemas.timeEntries.shape.reason,
});

/** The states that lead to each: a withdrawn approval is submitted again, withdrawn hours are a draft. */
const before: Record<TimeEntry["state"], readonly TimeEntry["state"][]> = {
  draft: ["submitted"],
  submitted: ["draft", "returned", "approved"],
  approved: ["submitted"],
  returned: ["submitted"],
};

const verbs: Record<TimeEntry["state"], string> = { draft: "withdraw", submitted: "submit", approved: "approve", returned: "return" };

export const decideHours: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { ids, state, reason }) => {
    if (state === "returned" && !reason?.trim()) return { fault: faultText.noReturnReason() };
    const entries = ids.map((id) => findRow(plan.timeEntries, id));
    if (entries.includes(undefined)) return { fault: faultText.gone("time entry") };
    const changed = entries.filter((entry) => entry !== undefined);
    if (changed.some((entry) => !before[state].includes(entry.state))) return { fault: faultText.hoursDecided() };
    return {
      changes: changed.map((entry) => {
        const { reason: _, ...rest } = entry;
        const after: TimeEntry = { ...rest, state, ...(state === "returned" && { reason }) };
        return changeOf("timeEntries", { id: entry.id, before: entry, after });
      }),
    };
  },
  words: (plan, { ids, state }) => {
    const people = new Set(ids.map((id) => findRow(plan.timeEntries, id)?.personId));
    const [only] = people;
    const whose = people.size === 1 ? (findRow(plan.people, only)?.name ?? "a person") : `${people.size} people`;
    return `${verbs[state]} hours of ${whose}`;
  },
};
