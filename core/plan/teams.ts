// The people of a team: its members and those of its sub-teams, each once.

import { lookUp } from "../values/lookUp.ts";
import { firstRoleOf } from "./names.ts";
import { rowById } from "./rows.ts";
import type { Plan } from "./schema.ts";

/** A team with all below it. */
export interface TeamReach {
  /** Rows of the team and its sub-teams. */
  teams: Set<number>;
  /** Person rows, each once, in the order they are first named. */
  people: number[];
}

/** The reach of each team, by team row. */
export function teamReaches(plan: Plan): TeamReach[] {
  const people = rowById(plan.people);
  const children = plan.teams.map((): number[] => []);
  plan.teams.forEach((team, row) => {
    if (team.parentId !== undefined) children[lookUp(rowById(plan.teams), team.parentId)].push(row);
  });
  const below = (row: number): number[] => [row, ...children[row].flatMap(below)];
  return plan.teams.map((_, row) => {
    const teams = below(row);
    const members = teams.flatMap((team) => plan.teams[team].memberIds.map((id) => lookUp(people, id)));
    return { teams: new Set(teams), people: [...new Set(members)] };
  });
}

/** Person rows whose first role is each role, by role row. */
export function peopleByFirstRole(plan: Plan): number[][] {
  const roles = rowById(plan.roles);
  const groups: number[][] = plan.roles.map(() => []);
  plan.people.forEach((person, row) => {
    groups[roles.get(firstRoleOf(person) ?? "") ?? -1]?.push(row);
  });
  return groups;
}
