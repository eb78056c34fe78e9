// A list of names that the plan is kept in order by: each with what it is used by.

import type { ListName } from "../plan/lists.ts";
import { detachable, MOST_NAMES, type NamedList, namedLists, type Use, usesOf } from "../plan/namedLists.ts";
import type { Plan, Row } from "../plan/schema.ts";
import { grouped } from "../values/grouped.ts";

/** Categories of projects and places of people are written on them, and nowhere else. */
export const markLists = ["categories", "places"] as const;
export type MarkList = (typeof markLists)[number];
export type NameList = NamedList | MarkList;
export const nameLists: readonly NameList[] = [...namedLists, ...markLists];

export interface NameRow {
  /** Of a category or a place the name itself. */
  id: string;
  name: string;
  /** Of a skill its group, of a material its unit, of a rate table its kind and currency. */
  detail: string;
  uses: Use[];
  /** In how many places it is used. */
  used: number;
}

export interface NameListAnswer {
  list: NameList;
  rows: NameRow[];
  /** True if a used name can be deleted: it is removed from every row that has it. */
  detaches: boolean;
}

/** The names of a list in plan order; of categories and places by name. */
export function nameListOf(plan: Plan, list: NameList): NameListAnswer {
  if (list === "categories" || list === "places") return { list, rows: markRows(plan, list), detaches: true };
  const uses = usesOf(plan, list);
  const rows = plan[list].map((row: Row<NamedList>) => rowOf(row.id, row.name, detailOf(row), uses.get(row.id) ?? []));
  return { list, rows, detaches: detachable.has(list) };
}

function rowOf(id: string, name: string, detail: string, uses: Use[]): NameRow {
  return { id, name, detail, uses, used: uses.reduce((sum, { count }) => sum + count, 0) };
}

function detailOf(row: Row<NamedList>): string {
  if ("unit" in row) return row.unit;
  if ("entries" in row) return `${row.kind === "cost" ? "cost" : "billing"}${row.currency === undefined ? "" : `, ${row.currency}`}`;
  return "group" in row ? (row.group ?? "") : "";
}

function markRows(plan: Plan, list: MarkList): NameRow[] {
  const owner: ListName = list === "categories" ? "projects" : "people";
  const marked =
    list === "categories"
      ? plan.projects.map(({ category, name }) => ({ mark: category, name }))
      : plan.people.map(({ location, name }) => ({ mark: location, name }));
  return [...grouped(marked, ({ mark }) => mark)]
    .flatMap(([mark, own]): NameRow[] => {
      if (mark === undefined) return [];
      return [rowOf(mark, mark, "", [{ list: owner, count: own.length, names: own.slice(0, MOST_NAMES).map(({ name }) => name) }])];
    })
    .sort((a, b) => a.name.localeCompare(b.name, "en"));
}
