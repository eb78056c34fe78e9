// Sets keys of a booking: its amount and date, what it is, and the expense it pays for.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";
import { bookingName } from "./words.ts";

const schema = z.strictObject({
  kind: z.literal("changeBooking"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.actualCosts, ["id"])),
});

export const changeBooking: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "actualCosts", id, set),
  words: (plan, { id }) => `change ${bookingName(findRow(plan.actualCosts, id))}`,
};
