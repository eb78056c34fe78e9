// Adds a person to the roster.
import * as z from "zod";
import { rowSchemas } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("addPerson"), person: rowSchemas.people });

export const addPerson: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { person }) => addedRow(plan, "people", person, null),
  words: (_, { person }) => `add ${person.name}`,
};
