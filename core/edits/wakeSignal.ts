// Reports a signal again that was to wait.
import * as z from "zod";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("wakeSignal"), id: z.string() });

export const wakeSignal: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "snoozes", id),
  words: () => "show a snoozed signal again",
};
