// Undoes that an overload is accepted.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteAcceptance"), id: z.string() });

export const deleteAcceptance: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "acceptances", id),
  words: (plan, { id }) => {
    const person = findRow(plan.acceptances, id)?.personId;
    return `withdraw the accepted overload of ${findRow(plan.people, person)?.name ?? "a person"}`;
  },
};
