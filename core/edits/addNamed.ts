// Adds a name to one of the lists that other rows refer to: a role, a skill, a client, a material, a rate table.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { listWords } from "../plan/listWords.ts";
import { type NamedList, namedLists } from "../plan/namedLists.ts";
import type { Plan, Row } from "../plan/schema.ts";
import { addedRow, type EditKind } from "./kind.ts";

// The row itself is checked like that of every edit.
const schema = z.strictObject({
  kind: z.literal("addNamed"),
  list: z.enum(namedLists),
  row: z.looseObject({ id: z.string(), name: z.string() }),
});

export const addNamed: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { list, row }) => {
    if (isNameTaken(plan, list, row.name, row.id)) return { fault: faultText.nameTaken(listWords[list], row.name) };
    return addedRow(plan, list, row as Row<NamedList>, null);
  },
  words: (_, { list, row }) => `add the ${listWords[list]} "${row.name}"`,
};

/** True where another row of a list is called the same, capitals and spaces around aside. */
export function isNameTaken(plan: Plan, list: NamedList, name: string, id: string): boolean {
  const plain = (text: string) => text.trim().toLowerCase();
  return plan[list].some((own: Row<NamedList>) => own.id !== id && plain(own.name) === plain(name));
}
