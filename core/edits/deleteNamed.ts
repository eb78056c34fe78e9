// Deletes a role, a skill, a client, a material or a rate table; what refers to it is named first, or loses it.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { listWords } from "../plan/listWords.ts";
import { detachable, namedLists, namedRow, swappedRows } from "../plan/namedLists.ts";
import { changeOf } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const schema = z.strictObject({
  kind: z.literal("deleteNamed"),
  list: z.enum(namedLists),
  id: z.string(),
  /** Removes it from every row that has it. */
  detaches: z.boolean(),
});

export const deleteNamed: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { list, id, detaches }) => {
    const row = namedRow(plan, list, id);
    if (!row) return { fault: faultText.gone(listWords[list]) };
    const swapped = swappedRows(plan, list, id, null);
    if (swapped.length > 0 && !(detaches && detachable.has(list))) return { fault: faultText.nameHeld(row.name, swapped.length) };
    const detached = swapped.map(({ list: other, before, after }) => changeOf(other, { id: before.id, before, after }));
    return { changes: [...detached, ...deletedRows(plan, list, (own) => own.id === id)] };
  },
  words: (plan, { list, id }) => `delete the ${listWords[list]} "${namedRow(plan, list, id)?.name ?? id}"`,
};
