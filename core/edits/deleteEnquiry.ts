// Takes an enquiry off the list; the project it has become stays.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteEnquiry"), id: z.string() });

export const deleteEnquiry: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "enquiries", id),
  words: (plan, { id }) => `delete the enquiry "${findRow(plan.enquiries, id)?.name ?? id}"`,
};
