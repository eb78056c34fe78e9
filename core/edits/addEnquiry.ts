// Writes down an enquiry.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addEnquiry"), enquiry: rowSchemas.enquiries });

export const addEnquiry: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { enquiry }) => addedRow(plan, "enquiries", enquiry, null),
  words: (_, { enquiry }) => `add the enquiry "${enquiry.name}"`,
};
