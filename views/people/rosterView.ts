// The visible rows of the roster: search, filters and groups.
import type { RosterRow } from "../../core/answers/roster.ts";
import { countText } from "../../ui/format.ts";
import type { Section } from "../../ui/table/lines.ts";

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
  /** Shows those who are archived, and nobody else. */
  archived: boolean;
}

/** The rows that fit every filter, in their groups. A person with two skills or teams is in each. */
export function rosterGroups(rows: readonly RosterRow[], filters: Filters, grouping: Grouping): Section<RosterRow>[] {
  const found = rows.filter((row) => fits(row, filters));
  if (grouping === "none") return [{ id: "all", title: null, rows: found }];
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
    .map(([title, own]) => ({ id: title, title, says: countText(own.length, "person", "people"), rows: own }));
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
  const { search, role, skill, level, team, place, kind, archived } = filters;
  if ((person.archived ?? false) !== archived) return false;
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
