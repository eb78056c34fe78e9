// Makes two names of a list one: whatever refers to the first refers to the second from then on, and the first is deleted.
import * as z from "zod";
import { listWords } from "../plan/check.ts";
import { faultText } from "../plan/faults.ts";
import { namedRow, swappedRows } from "../plan/namedLists.ts";
import { changeOf } from "./change.ts";
import { deletedRows, type EditKind } from "./kind.ts";

const mergeable = ["roles", "skills", "clients", "materials"] as const;
const schema = z.strictObject({ kind: z.literal("mergeNamed"), list: z.enum(mergeable), id: z.string(), into: z.string() });

export const mergeNamed: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { list, id, into }) => {
    if (!namedRow(plan, list, id) || !namedRow(plan, list, into)) return { fault: faultText.gone(listWords[list]) };
    if (id === into) return { fault: faultText.mergedWithItself(listWords[list]) };
    const swapped = swappedRows(plan, list, id, into).map(({ list: other, before, after }) =>
      changeOf(other, { id: before.id, before, after }),
    );
    return { changes: [...swapped, ...deletedRows(plan, list, (row) => row.id === id)] };
  },
  words: (plan, { list, id, into }) =>
    `merge the ${listWords[list]} "${namedRow(plan, list, id)?.name ?? id}" into "${namedRow(plan, list, into)?.name ?? into}"`,
};
