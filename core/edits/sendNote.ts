// Sends a signal to a colleague: a note in the outbox.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("sendNote"), note: rowSchemas.notes });

export const sendNote: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { note }) => addedRow(plan, "notes", note, null),
  words: (plan, { note }) => `send a note to ${findRow(plan.people, note.personId)?.name ?? note.personId}`,
};
