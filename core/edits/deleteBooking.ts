// Deletes a booking.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";
import { bookingName } from "./words.ts";

const schema = z.strictObject({ kind: z.literal("deleteBooking"), id: z.string() });

export const deleteBooking: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "actualCosts", id),
  words: (plan, { id }) => `delete ${bookingName(findRow(plan.actualCosts, id))}`,
};
