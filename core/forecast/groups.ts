// The grouping of a forecast: roles, skills at a level, teams or places. Each group is people, whose time is its capacity, and
// the demand on them: their work, and unassigned work that needs such people.

import type { Placed } from "../placing/placed.ts";
import { rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { peopleByFirstRole, teamReaches } from "../plan/teams.ts";
import { lookUp } from "../values/lookUp.ts";

export const forecastBys = ["role", "skill", "team", "place"] as const;
export type ForecastBy = (typeof forecastBys)[number];

/** People by group, and the groups that work which is nobody's asks for. */
export interface DemandGroups {
  count: number;
  /** Groups that each person counts in, by person row. */
  ofPerson: readonly (readonly number[])[];
  /** Groups that a row of work without a person asks for. */
  ofOpen: (row: number) => readonly number[];
}

export interface ForecastGroups extends DemandGroups {
  /** Ids; of places their names, "" for people without one. */
  keys: readonly string[];
  names: readonly string[];
  /** Person rows by group. */
  people: readonly (readonly number[])[];
}

export const NO_GROUPS: readonly number[] = [];

/** The groups of a plan. @param level Of skills: the person who has less does not count, and what asks for less is not asked of them. */
export function forecastGroups(placed: Placed, by: ForecastBy, level = 1): ForecastGroups {
  switch (by) {
    case "role":
      return roleGroups(placed);
    case "skill":
      return skillGroups(placed, level);
    case "team":
      return teamGroups(placed);
    case "place":
      return placeGroups(placed.plan);
  }
}

/** People count for their first role, work for the role it is made in. */
export function roleGroups({ plan, work }: Placed): ForecastGroups {
  const alone = plan.roles.map((_, role) => [role]);
  const ofOpen = (row: number) => alone[work.role[row]] ?? NO_GROUPS;
  return grouped(plan, plan.roles, peopleByFirstRole(plan), ofOpen);
}

function skillGroups({ plan, work }: Placed, level: number): ForecastGroups {
  const rows = rowById(plan.skills);
  const enough = (skills: Plan["people"][number]["skills"] = []) =>
    skills.flatMap((own) => (own.level >= level ? [lookUp(rows, own.skillId)] : []));
  const people: number[][] = plan.skills.map(() => []);
  plan.people.forEach(({ skills }, person) => {
    for (const skill of enough(skills)) people[skill].push(person);
  });
  const ofTask = plan.tasks.map(({ skills }) => enough(skills));
  // A team's work is demand on the team, regardless of its people's skills.
  return grouped(plan, plan.skills, people, (row) => (work.team[row] >= 0 ? NO_GROUPS : (ofTask[work.task[row]] ?? NO_GROUPS)));
}

/** A team has the people of its sub-teams too, and what is given to those. */
function teamGroups({ plan, work }: Placed): ForecastGroups {
  const reaches = teamReaches(plan);
  const above = plan.teams.map((_, team) => reaches.flatMap(({ teams }, own) => (teams.has(team) ? [own] : [])));
  return grouped(
    plan,
    plan.teams,
    reaches.map(({ people }) => people),
    (row) => above[work.team[row]] ?? NO_GROUPS,
  );
}

/** Work that nobody has is at no place. */
function placeGroups(plan: Plan): ForecastGroups {
  const places = new Map<string, number[]>();
  plan.people.forEach(({ location = "" }, person) => {
    const known = places.get(location);
    if (known) known.push(person);
    else places.set(location, [person]);
  });
  const named = [...places.keys()].map((name) => ({ id: name, name }));
  return grouped(plan, named, [...places.values()], () => NO_GROUPS);
}

function grouped(
  plan: Plan,
  rows: readonly { id: string; name: string }[],
  people: readonly (readonly number[])[],
  ofOpen: DemandGroups["ofOpen"],
): ForecastGroups {
  const ofPerson: number[][] = plan.people.map(() => []);
  people.forEach((own, group) => {
    for (const person of own) ofPerson[person].push(group);
  });
  return { count: rows.length, ofPerson, ofOpen, keys: rows.map(({ id }) => id), names: rows.map(({ name }) => name), people };
}
