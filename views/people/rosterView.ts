// Which rows of the roster are shown and how: search, filters, order and groups.
import type { RosterRow } from "../../core/answers/roster.ts";

export const sortKeys = ["plan", "name", "role", "place", "hours", "used"] as const;
export type SortKey = (typeof sortKeys)[number];

export const groupings = ["none", "role", "skill", "team", "place", "kind"] as const;
export type Grouping = (typeof groupings)[number];

export const optionalColumns = ["skills", "week", "place", "teams", "unplaced"] as const;
export type OptionalColumn = (typeof optionalColumns)[number];

export interface Filters {
  search: string;
  role: string;
  skill: string;
  /** Least level of the skill. */
  level: number;
  team: string;
  place: string;
  kind: string;
}

/** A heading with its people; the heading is null where the roster is not grouped. */
export interface RosterGroup {
  title: string | null;
  rows: RosterRow[];
}

/** The rows that fit every filter, in order, in their groups. Somebody with two skills or teams stands in each. */
export function rosterGroups(rows: readonly RosterRow[], filters: Filters, sort: SortKey, grouping: Grouping): RosterGroup[] {
  const found = sorted(
    rows.filter((row) => fits(row, filters)),
    sort,
  );
  if (grouping === "none") return [{ title: null, rows: found }];
  const groups = new Map<string, RosterRow[]>();
  for (const row of found) {
    for (const title of titlesOf(row, grouping)) {
      const group = groups.get(title);
      if (group) group.push(row);
      else groups.set(title, [row]);
    }
  }
  return [...groups]
    .sort(([a], [b]) => Number(a.startsWith("No ")) - Number(b.startsWith("No ")) || (grouping === "role" ? 0 : a.localeCompare(b)))
    .map(([title, own]) => ({ title, rows: own }));
}

function titlesOf({ person, roleNames, skills, teamNames }: RosterRow, grouping: Exclude<Grouping, "none">): string[] {
  switch (grouping) {
    case "role":
      return [roleNames[0] ?? "No role yet"];
    case "skill":
      return skills.length > 0 ? skills.map(({ name, level }) => `${name}, level ${level}`) : ["No skills stated"];
    case "team":
      return teamNames.length > 0 ? teamNames : ["No team"];
    case "place":
      return [person.location ?? "No place stated"];
    case "kind":
      return [person.kind === "contractor" ? "Contractors" : "Employees"];
  }
}

function fits({ person, roleNames, skills, teamNames }: RosterRow, filters: Filters): boolean {
  const { search, role, skill, level, team, place, kind } = filters;
  if (role !== "" && !roleNames.includes(role)) return false;
  if (skill !== "" && !skills.some((own) => own.name === skill && own.level >= level)) return false;
  if (team !== "" && !teamNames.includes(team)) return false;
  if (place !== "" && person.location !== place) return false;
  if (kind !== "" && (person.kind ?? "employee") !== kind) return false;
  const said = [person.name, person.location ?? "", ...roleNames, ...teamNames, ...skills.map(({ name }) => name)].join(" ").toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}

function sorted(rows: RosterRow[], key: SortKey): RosterRow[] {
  const used = ({ capacity, load }: RosterRow) => (capacity === 0 ? (load > 0 ? Number.POSITIVE_INFINITY : -1) : load / capacity);
  const hours = ({ weeks }: RosterRow) => weeks[0].reduce((sum, own) => sum + own, 0);
  switch (key) {
    case "plan":
      return rows;
    case "name":
      return rows.toSorted((a, b) => a.person.name.localeCompare(b.person.name));
    case "role":
      return rows.toSorted((a, b) => (a.roleNames[0] ?? "").localeCompare(b.roleNames[0] ?? ""));
    case "place":
      return rows.toSorted((a, b) => (a.person.location ?? "").localeCompare(b.person.location ?? ""));
    case "hours":
      return rows.toSorted((a, b) => hours(b) - hours(a));
    case "used":
      return rows.toSorted((a, b) => used(b) - used(a));
  }
}
