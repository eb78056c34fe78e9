// Sets facts of an enquiry: what it is, who asks, requested dates, value, size.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { changedRow, type EditKind, settable } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("changeEnquiry"),
  id: z.string(),
  set: z.strictObject(settable(rowSchemas.enquiries, ["id", "state", "projectId", "history"])),
});

export const changeEnquiry: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id, set }) => changedRow(plan, "enquiries", id, set),
  words: (plan, { id }) => `change the enquiry "${findRow(plan.enquiries, id)?.name ?? id}"`,
};
