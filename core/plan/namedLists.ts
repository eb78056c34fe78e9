// The lists of names that other rows refer to (roles, skills, clients, materials, rate tables): who refers to a name, and
// how that goes over to another one.

import { objectKeys } from "../values/objectKeys.ts";
import { stated } from "../values/stated.ts";
import type { ListName } from "./lists.ts";
import { findRow, rowsOf } from "./rows.ts";
import type { Plan, RateEntry, Row } from "./schema.ts";

export const namedLists = ["roles", "skills", "clients", "materials", "rateTables"] as const;
export type NamedList = (typeof namedLists)[number];

/** A row of one of these lists, by its id. */
export function namedRow(plan: Plan, list: NamedList, id: string): Row<NamedList> | undefined {
  return findRow<Row<NamedList>>(plan[list], id);
}

/** Lists whose names can be removed from the rows that have them; a row with a role or a material needs it. */
export const detachable: ReadonlySet<NamedList> = new Set<NamedList>(["skills", "clients", "rateTables"]);

/** Rows of one list that refer to a name. */
export interface Use {
  list: ListName;
  count: number;
  /** Names of the first of them, each once, where such rows have names. */
  names: string[];
}

/** Says what takes the place of an id; undefined where nothing does. */
type Swap = (id: string) => string | undefined;

/** A row with its references swapped; the row itself where it has none that are. */
type Swapper<L extends ListName> = (row: Row<L>, swap: Swap) => Row<L>;

type Referrers = { [L in ListName]?: Swapper<L> };

const referrers: Record<NamedList, Referrers> = {
  roles: {
    people: (person, swap) => withIds(person, swap),
    tasks: (task, swap) => swapped(task, "roleId", swap),
    assignments: (assignment, swap) => swapped(assignment, "roleId", swap),
    requests: (request, swap) => swapped(request, "roleId", swap),
    rateTables: (table, swap) => withEntries(table, "roleId", swap),
    enquiries: (enquiry, swap) => withHours(enquiry, swap),
    templates: (template, swap) => {
      const tasks = mapped(template.tasks, (task) => swapped(task, "roleId", swap));
      const assignments = mapped(template.assignments, (assignment) => swapped(assignment, "roleId", swap));
      return tasks === template.tasks && assignments === template.assignments ? template : { ...template, tasks, assignments };
    },
  },
  skills: {
    people: (person, swap) => withSkills(person, swap),
    tasks: (task, swap) => withSkills(task, swap),
    templates: (template, swap) => {
      const tasks = mapped(template.tasks, (task) => withSkills(task, swap));
      return tasks === template.tasks ? template : { ...template, tasks };
    },
  },
  clients: {
    projects: (project, swap) => swapped(project, "clientId", swap),
    enquiries: (enquiry, swap) => swapped(enquiry, "clientId", swap),
  },
  materials: {
    assignments: (assignment, swap) => swapped(assignment, "materialId", swap),
    rateTables: (table, swap) => withEntries(table, "materialId", swap),
    templates: (template, swap) => {
      const assignments = mapped(template.assignments, (assignment) => swapped(assignment, "materialId", swap));
      return assignments === template.assignments ? template : { ...template, assignments };
    },
  },
  rateTables: { projects: (project, swap) => swapped(swapped(project, "costTableId", swap), "billTableId", swap) },
};

/** A row before and after a swap. */
export interface SwappedRow {
  list: ListName;
  before: Row;
  after: Row;
}

/** The rows that refer to a name, as they are when it is swapped.
 * @param into The id of what takes its place; null takes the name off. */
export function swappedRows(plan: Plan, list: NamedList, id: string, into: string | null): SwappedRow[] {
  const swap: Swap = (own) => (own === id ? (into ?? undefined) : own);
  return objectKeys(referrers[list]).flatMap((other) =>
    rowsOf(plan, other).flatMap((before: Row) => {
      const after = swappedRow(referrers[list], other, before, swap);
      return after === before ? [] : [{ list: other, before, after }];
    }),
  );
}

const swappedRow = <L extends ListName>(ways: Referrers, list: L, row: Row<L>, swap: Swap): Row<L> => ways[list]?.(row, swap) ?? row;

/** The most names listed as uses. */
export const MOST_NAMES = 8;

/** The uses of each name of a list, by id; names without a use are left out. */
export function usesOf(plan: Plan, list: NamedList): Map<string, Use[]> {
  const uses = new Map<string, Use[]>();
  for (const other of objectKeys(referrers[list]))
    for (const row of rowsOf(plan, other)) {
      const found = new Set<string>();
      swappedRow(referrers[list], other, row, (id) => {
        found.add(id);
        return id;
      });
      for (const id of found) note(uses, id, other, row);
    }
  return uses;
}

function note(uses: Map<string, Use[]>, id: string, list: ListName, row: Row): void {
  const known = uses.get(id) ?? [];
  const use = known.find((own) => own.list === list) ?? { list, count: 0, names: [] };
  if (use.count === 0) uses.set(id, [...known, use]);
  use.count++;
  if ("name" in row && row.name !== undefined && use.names.length < MOST_NAMES && !use.names.includes(row.name)) use.names.push(row.name);
}

function mapped<T>(list: T[], change: (entry: T) => T): T[] {
  const next = list.map(change);
  return next.some((entry, at) => entry !== list[at]) ? next : list;
}

function swapped<K extends string, T extends { [key in K]?: string }>(row: T, key: K, swap: Swap): T {
  const id: string | undefined = row[key];
  const next = id === undefined ? undefined : swap(id);
  return next === id ? row : stated({ ...row, [key]: next });
}

function withIds(person: Row<"people">, swap: Swap): Row<"people"> {
  const roleIds = person.roleIds.map(swap);
  if (roleIds.every((id, at) => id === person.roleIds[at])) return person;
  return { ...person, roleIds: [...new Set(roleIds.filter((id) => id !== undefined))] };
}

/** Of two levels in what has become one skill the higher one stays. */
function withSkills<T extends Pick<Row<"people">, "skills">>(row: T, swap: Swap): T {
  const { skills = [] } = row;
  const ids = skills.map(({ skillId }) => swap(skillId));
  if (ids.every((id, at) => id === skills[at].skillId)) return row;
  const levels = new Map<string, number>();
  ids.forEach((id, at) => {
    if (id !== undefined) levels.set(id, Math.max(levels.get(id) ?? 0, skills[at].level));
  });
  // No skills are no list of them: that is how a plan is read again.
  const next = levels.size === 0 ? undefined : [...levels].map(([skillId, level]) => ({ skillId, level }));
  return stated({ ...row, skills: next });
}

/** Hours of what has become one role are added up. */
function withHours(enquiry: Row<"enquiries">, swap: Swap): Row<"enquiries"> {
  const { hours = [], ...rest } = enquiry;
  const ids = hours.map(({ roleId }) => swap(roleId));
  if (ids.every((id, at) => id === hours[at].roleId)) return enquiry;
  const sums = new Map<string, number>();
  ids.forEach((id, at) => {
    if (id !== undefined) sums.set(id, (sums.get(id) ?? 0) + hours[at].hours);
  });
  return sums.size === 0 ? rest : { ...rest, hours: [...sums].map(([roleId, own]) => ({ roleId, hours: own })) };
}

/** Rates of what goes: where what takes its place has one from the same day already, that one stays. */
function withEntries(table: Row<"rateTables">, key: "roleId" | "materialId", swap: Swap): Row<"rateTables"> {
  const next = table.entries.map((entry): RateEntry | null => {
    const id = entry[key];
    if (id === undefined) return entry;
    const to = swap(id);
    if (to === id) return entry;
    const isThere = to === undefined || table.entries.some((own) => own[key] === to && own.from === entry.from);
    return isThere ? null : { ...entry, [key]: to };
  });
  if (next.every((entry, at) => entry === table.entries[at])) return table;
  return { ...table, entries: next.filter((entry) => entry !== null) };
}
