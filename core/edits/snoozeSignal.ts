// Has a signal wait until a day, with a reason.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("snoozeSignal"), snooze: rowSchemas.snoozes });

export const snoozeSignal: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { snooze }) => addedRow(plan, "snoozes", snooze, null),
  words: (_, { snooze }) => `snooze a signal until ${snooze.until}`,
};
