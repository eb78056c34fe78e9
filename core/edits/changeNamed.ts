// Sets keys of a role, a skill, a client, a material or a rate table: its name, its group, its unit, its currency.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { listWords } from "../plan/listWords.ts";
import { namedLists, namedRow } from "../plan/namedLists.ts";
import { isNameTaken } from "./addNamed.ts";
import { changedRow, type EditKind, type Settable } from "./kind.ts";

const text = z.string().nullish();
const schema = z.strictObject({
  kind: z.literal("changeNamed"),
  list: z.enum(namedLists),
  id: z.string(),
  set: z.strictObject({ name: z.string().optional(), group: text, unit: z.string().optional(), currency: text }),
});

export const changeNamed: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { list, id, set }) => {
    if (set.name !== undefined && isNameTaken(plan, list, set.name, id)) return { fault: faultText.nameTaken(listWords[list], set.name) };
    return changedRow(plan, list, id, set as Settable<typeof list>);
  },
  words: (plan, { list, id }) => `change the ${listWords[list]} "${namedRow(plan, list, id)?.name ?? id}"`,
};
