// Books an amount to a project: what was paid, with or without an expense that was planned for it.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";
import { bookingName } from "./words.ts";

const schema = z.strictObject({ kind: z.literal("addBooking"), booking: rowSchemas.actualCosts });

export const addBooking: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { booking }) => addedRow(plan, "actualCosts", booking, null),
  words: (_, { booking }) => `add ${bookingName(booking)}`,
};
