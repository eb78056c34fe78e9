// Deletes a template; projects made from it stay as they are.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { deletedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("deleteTemplate"), id: z.string() });

export const deleteTemplate: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { id }) => deletedRow(plan, "templates", id),
  words: (plan, { id }) => `delete the template "${findRow(plan.templates, id)?.name ?? id}"`,
};
