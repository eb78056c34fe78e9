// Leaves a person's overload as it is, for a reason and until a day.
import * as z from "zod";
import { findRow } from "../plan/rows.ts";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("acceptOverload"), acceptance: rowSchemas.acceptances });

export const acceptOverload: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { acceptance }) => addedRow(plan, "acceptances", acceptance, null),
  words: (plan, { acceptance }) => `accept the overload of ${findRow(plan.people, acceptance.personId)?.name ?? acceptance.personId}`,
};
