"use client";
// A list of names as its screen shows it, and what can be done with them.
import { parseAsString, useQueryState } from "nuqs";
import { dataOf, type Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import { type MarkList, markLists, type NameList, type NameRow } from "../../core/answers/nameList.ts";
import type { Edit, SingleEdit } from "../../core/edits/edit.ts";
import { isOneOf } from "../../core/values/oneOf.ts";
import { countText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { listNames } from "./paths.ts";

const marks: Record<MarkList, "category" | "place"> = { categories: "category", places: "place" };
const isMarkList = (list: NameList): list is MarkList => isOneOf(markLists, list);

/** A name to add, with its unit, its group or its kind where the list has those. */
export interface NewName {
  name: string;
  detail: string;
}

export function useNameList(initial: Initial<AnswerOf<"nameList">>) {
  const session = usePlan();
  const { currency } = usePlanFacts();
  const { list } = dataOf(initial);
  const answer = useAnswer("nameList", { list }, initial);
  const [openId, setOpenId] = useQueryState("name", parseAsString.withOptions({ shallow: true }));
  const edit = async (made: Edit) => (await session.edit(made)).length === 0;
  const renameMark = (of: MarkList, from: string, to: string | null): SingleEdit => ({ kind: "renameMark", of: marks[of], from, to });
  return {
    ...answer,
    open: answer.rows.find(({ id }) => id === openId) ?? null,
    setOpenId,
    rename: async (row: NameRow, name: string) => {
      if (!isMarkList(list)) return edit({ kind: "changeNamed", list, id: row.id, set: { name } });
      const isMade = await edit(renameMark(list, row.name, name));
      if (isMade && openId === row.id) void setOpenId(name);
      return isMade;
    },
    setDetail: async (row: NameRow, detail: string) => {
      if (isMarkList(list)) return false;
      const set = list === "materials" ? { unit: detail } : { group: detail === "" ? null : detail };
      return edit({ kind: "changeNamed", list, id: row.id, set });
    },
    merge: async (row: NameRow, into: NameRow) => {
      const isMade = await edit(
        isMarkList(list) ? renameMark(list, row.name, into.name) : { kind: "mergeNamed", list, id: row.id, into: into.id },
      );
      if (isMade) void setOpenId(into.id);
    },
    remove: async (row: NameRow) => {
      const isMade = await edit(
        isMarkList(list) ? renameMark(list, row.name, null) : { kind: "deleteNamed", list, id: row.id, detaches: row.used > 0 },
      );
      if (isMade) void setOpenId(null);
    },
    /** Adds names that are not there yet. @returns How many those were; null where it cannot be. */
    add: async (names: readonly NewName[]): Promise<number | null> => {
      if (isMarkList(list)) return null;
      const known = new Set(answer.rows.map(({ name }) => name.trim().toLowerCase()));
      const added = names.filter(({ name }) => !known.has(name.toLowerCase()) && known.add(name.toLowerCase()));
      const edits = added.map((own): SingleEdit => ({ kind: "addNamed", list, row: rowOf(list, own, currency) }));
      if (edits.length === 0) return 0;
      const { one, many } = listNames[list];
      const words = `add ${countText(edits.length, one, many.toLowerCase())}`;
      return (await edit(edits.length === 1 ? edits[0] : { kind: "together", words, edits })) ? edits.length : null;
    },
  };
}

export type NameListHook = ReturnType<typeof useNameList>;

/** The row of a new name; a rate table states its currency where that is another than the plan's `own`. */
function rowOf(list: NameList, { name, detail }: NewName, own: string) {
  const id = newId(listNames[list].one.replace(" ", "-"));
  if (list === "materials") return { id, name, unit: detail === "" ? "piece" : detail };
  if (list === "rateTables") {
    const [kind, currency] = detail.split(" ");
    const isForeign = currency !== undefined && /^[A-Z]{3}$/.test(currency) && currency !== own;
    return { id, name, kind: kind === "bill" ? "bill" : "cost", entries: [], ...(isForeign && { currency }) };
  }
  return { id, name, ...(list === "skills" && detail !== "" && { group: detail }) };
}
