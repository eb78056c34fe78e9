// How the balance board is looked at: what its rows are, who is left by the filters, what counts, in what order.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { type Counting, defaultCounting } from "./counting.ts";
import { placedIn } from "./placements.ts";
import { peopleByFirstRole } from "./teams.ts";

/** People under headings; headings alone; projects with their people, and people with their projects. */
export const boardRowKinds = ["role", "team", "location", "none", "roles", "teams", "projects", "peopleProjects"] as const;
export type BoardRowKind = (typeof boardRowKinds)[number];

export const boardSorts = ["plan", "name", "worst", "room"] as const;
export type BoardSort = (typeof boardSorts)[number];

/** Ids, or a location, a category or a stage as they stand in the plan; empty for any. */
export interface BoardFilters {
  role: string;
  skill: string;
  team: string;
  location: string;
  project: string;
  category: string;
  client: string;
  stage: string;
}

export const noBoardFilters: BoardFilters = {
  role: "",
  skill: "",
  team: "",
  location: "",
  project: "",
  category: "",
  client: "",
  stage: "",
};

export interface BoardView {
  rows: BoardRowKind;
  filters: BoardFilters;
  counting: Counting;
  sort: BoardSort;
}

export const usualView: BoardView = { rows: "role", filters: noBoardFilters, counting: defaultCounting, sort: "plan" };

/** A heading with the people under it, by their rows. */
export interface BoardGroup {
  id: string;
  name: string;
  people: number[];
}

/** Person rows that the filters leave. Of filters by project, those who have counted work in one in the range. */
export function peopleLeft(model: Model, filters: BoardFilters, shares: Int32Array, range: Range): Set<number> {
  const { plan, work, placements } = model;
  const members = filters.team === "" ? null : new Set(teamMembers(plan, filters.team));
  const projects = projectsLeft(plan, filters);
  const left = new Set<number>();
  plan.people.forEach(({ id, roleIds, skills = [], location }, row) => {
    if (filters.role !== "" && !roleIds.includes(filters.role)) return;
    if (filters.skill !== "" && !skills.some(({ skillId }) => skillId === filters.skill)) return;
    if (filters.location !== "" && location !== filters.location) return;
    if (members && !members.has(id)) return;
    left.add(row);
  });
  if (!projects) return left;
  const busy = new Set<number>();
  for (let row = 0; row < work.assignments; row++) {
    const person = work.person[row];
    if (person < 0 || busy.has(person) || shares[row] < 0 || !projects.has(work.project[row])) continue;
    if (placedIn(placements, row, 10_000, range.start, range.stop) > 0) busy.add(person);
  }
  return new Set([...left].filter((person) => busy.has(person)));
}

/** Project rows that the filters leave; null where they are about people alone. */
export function projectsLeft(plan: Plan, { project, category, client, stage }: BoardFilters): Set<number> | null {
  if (project === "" && category === "" && client === "" && stage === "") return null;
  return new Set(
    plan.projects.flatMap((own, row) =>
      (project === "" || own.id === project) &&
      (category === "" || own.category === category) &&
      (client === "" || own.clientId === client) &&
      (stage === "" || own.stage === stage)
        ? [row]
        : [],
    ),
  );
}

/** Ids of a team's people and those of the teams below it. */
function teamMembers(plan: Plan, teamId: string): string[] {
  const own = plan.teams.find(({ id }) => id === teamId);
  const below = plan.teams.filter(({ parentId }) => parentId === teamId);
  return [...(own?.memberIds ?? []), ...below.flatMap(({ id }) => teamMembers(plan, id))];
}

/** The headings of people, in plan order; those who fit none come last. Somebody in two teams stands under both. */
export function groupsOf(plan: Plan, by: "role" | "team" | "location", left: ReadonlySet<number>): BoardGroup[] {
  const groups = { role: byRole, team: byTeam, location: byLocation }[by](plan);
  return groups
    .map((group) => ({ ...group, people: group.people.filter((row) => left.has(row)) }))
    .filter(({ people }) => people.length > 0);
}

function byRole(plan: Plan): BoardGroup[] {
  const groups = peopleByFirstRole(plan).map((people, role) => ({ id: plan.roles[role].id, name: plan.roles[role].name, people }));
  const without = plan.people.flatMap(({ roleIds }, row) => (roleIds.length === 0 ? [row] : []));
  return [...groups, { id: "", name: "No role yet", people: without }];
}

function byTeam(plan: Plan): BoardGroup[] {
  const people = rowById(plan.people);
  const groups = plan.teams.map(({ id, name, memberIds }) => ({
    id,
    name,
    people: memberIds.map((member) => people.get(member) as number),
  }));
  const inOne = new Set(groups.flatMap((group) => group.people));
  return [...groups, { id: "", name: "In no team", people: plan.people.flatMap((_, row) => (inOne.has(row) ? [] : [row])) }];
}

function byLocation(plan: Plan): BoardGroup[] {
  const places = [...new Set(plan.people.flatMap(({ location }) => location ?? []))].sort();
  const groups = places.map((place) => ({
    id: place,
    name: place,
    people: plan.people.flatMap(({ location }, row) => (location === place ? [row] : [])),
  }));
  return [
    ...groups,
    { id: "", name: "No place stated", people: plan.people.flatMap(({ location }, row) => (location === undefined ? [row] : [])) },
  ];
}

/** Days of accepted overload by person id. */
export function acceptedDays(plan: Plan): Map<string, { from: Day; to: Day }[]> {
  const days = new Map<string, { from: Day; to: Day }[]>();
  for (const { personId, from, to } of plan.acceptances) {
    const own = { from: parseDay(from), to: parseDay(to) };
    const known = days.get(personId);
    if (known) known.push(own);
    else days.set(personId, [own]);
  }
  return days;
}
