// Makes two names of a list one: everything that refers to the first refers to the second from then on, and the first is deleted.
import * as z from "zod";
import { faultText } from "../plan/faults.ts";
import { listWords } from "../plan/listWords.ts";
import { namedLists, namedRow, swappedRows } from "../plan/namedLists.ts";
import { knownRow } from "../plan/rows.ts";
import type { Plan, RateEntry } from "../plan/schema.ts";
import { changeOf } from "./change.ts";
import { changedRow, deletedRows, type EditKind, type Made } from "./kind.ts";

const schema = z.strictObject({ kind: z.literal("mergeNamed"), list: z.enum(namedLists), id: z.string(), into: z.string() });

export const mergeNamed: EditKind<z.infer<typeof schema>> & { schema: typeof schema } = {
  schema,
  changes: (plan, { list, id, into }) => {
    if (!namedRow(plan, list, id) || !namedRow(plan, list, into)) return { fault: faultText.gone(listWords[list]) };
    if (id === into) return { fault: faultText.mergedWithItself(listWords[list]) };
    const joined = list === "rateTables" ? joinedTable(plan, id, into) : { changes: [] };
    if ("fault" in joined) return joined;
    const swapped = swappedRows(plan, list, id, into).map(({ list: other, before, after }) =>
      changeOf(other, { id: before.id, before, after }),
    );
    return { changes: [...swapped, ...joined.changes, ...deletedRows(plan, list, (row) => row.id === id)] };
  },
  words: (plan, { list, id, into }) =>
    `merge the ${listWords[list]} "${namedRow(plan, list, id)?.name ?? id}" into "${namedRow(plan, list, into)?.name ?? into}"`,
};

/** The rates of a rate table stay; it takes over the rates of the merged table for subjects that it has none for. */
function joinedTable(plan: Plan, id: string, into: string): Made {
  const [goes, stays] = [knownRow(plan.rateTables, id), knownRow(plan.rateTables, into)];
  if (goes.kind !== stays.kind || (goes.currency ?? null) !== (stays.currency ?? null)) return { fault: faultText.tablesDiffer() };
  const known = new Set(stays.entries.map(subjectOf));
  const added = goes.entries.filter((entry) => !known.has(subjectOf(entry)));
  return added.length === 0 ? { changes: [] } : changedRow(plan, "rateTables", into, { entries: [...stays.entries, ...added] });
}

const subjectOf = ({ personId, roleId, materialId }: RateEntry): string => JSON.stringify([personId, roleId, materialId]);
