// Asks for time off, or changes what was asked for: an entry of a person's list, by its id.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { findRow } from "../plan/rows.ts";
import { timeOffSchema } from "../plan/schema.ts";
import { changedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("setTimeOff"), personId: z.string(), timeOff: timeOffSchema });

export const setTimeOff: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { personId, timeOff }) => {
    const person = findRow(plan.people, personId);
    if (!person) return { fault: faultText.gone("person") };
    const entries = person.timeOff ?? [];
    const isKnown = entries.some(({ id }) => id === timeOff.id);
    return changedRow(plan, "people", personId, {
      timeOff: isKnown ? entries.map((entry) => (entry.id === timeOff.id ? timeOff : entry)) : [...entries, timeOff],
    });
  },
  words: (plan, { personId }) => `change time off of ${findRow(plan.people, personId)?.name ?? personId}`,
};
