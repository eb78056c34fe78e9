// The view of the balance board: its rows, filters, counting and order.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { type Counting, defaultCounting } from "../load/counting.ts";
import { reachedWork } from "../load/reachedWork.ts";
import type { Placed } from "../placing/placed.ts";
import { placedIn } from "../placing/placements.ts";
import { firstRoleOf } from "../plan/names.ts";
import { rowById } from "../plan/rows.ts";
import type { Person, Plan } from "../plan/schema.ts";
import { peopleByFirstRole, teamReaches } from "../plan/teams.ts";
import { lookUp } from "../values/lookUp.ts";

/** People under headings; headings alone; projects with their people, and people with their projects. */
export const boardRowKinds = ["role", "team", "location", "none", "roles", "teams", "projects", "peopleProjects"] as const;
export type BoardRowKind = (typeof boardRowKinds)[number];

export const boardSorts = ["plan", "name", "worst", "room"] as const;
export type BoardSort = (typeof boardSorts)[number];

/** Everyone, those who are over in some period, or those who have room in some. */
export const boardOnly = ["all", "over", "room"] as const;
export type BoardOnly = (typeof boardOnly)[number];

/** Ids, or a location, a category or a stage as they are now in the plan; empty for any. */
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
  only: BoardOnly;
}

export const usualView: BoardView = { rows: "role", filters: noBoardFilters, counting: defaultCounting, sort: "plan", only: "all" };

/** A heading: who is under it, and what it adds up, by rows of people and of work. A team adds up its sub-teams too,
 * and what is given to a team and to nobody by name. */
export interface BoardGroup {
  id: string;
  name: string;
  people: number[];
  summed: number[];
  work: number[];
  /** Of a role its row; −1 for all other headings. */
  role: number;
}

/** Person rows that the filters leave. Of filters by project, those who have counted work in one in the range. */
export function peopleLeft(placed: Placed, filters: BoardFilters, shares: Int32Array, range: Range): Set<number> {
  const { plan, work, placements } = placed;
  const team = rowById(plan.teams).get(filters.team);
  const members = team === undefined ? null : new Set(teamReaches(plan)[team].people);
  const projects = projectsLeft(plan, filters);
  const left = new Set<number>();
  plan.people.forEach(({ roleIds, skills = [], location, archived, employedTo }, row) => {
    // Past work is shown in its period.
    if (archived && employedTo !== undefined && parseDay(employedTo) < range.start) return;
    if (filters.role !== "" && !roleIds.includes(filters.role)) return;
    if (filters.skill !== "" && !skills.some(({ skillId }) => skillId === filters.skill)) return;
    if (filters.location !== "" && location !== filters.location) return;
    if (members && !members.has(row)) return;
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

/** The headings of people, in plan order; those who fit none come last. A person in two teams is under both. */
export function groupsOf(placed: Placed, { rows, filters }: BoardView, left: ReadonlySet<number>): BoardGroup[] {
  const { plan } = placed;
  const groups = rows === "team" || rows === "teams" ? byTeam(placed, filters) : rows === "location" ? byLocation(plan) : byRole(plan);
  return groups
    .map((group) => ({
      ...group,
      people: group.people.filter((row) => left.has(row)),
      summed: group.summed.filter((row) => left.has(row)),
    }))
    .filter(({ summed, work }) => summed.length > 0 || work.length > 0);
}

/** A heading that adds up just those who are under it. */
const headingOf = (id: string, name: string, people: number[], role = -1): BoardGroup => ({
  id,
  name,
  people,
  summed: people,
  work: [],
  role,
});

function byRole(plan: Plan): BoardGroup[] {
  const groups = peopleByFirstRole(plan).map((people, role) => headingOf(plan.roles[role].id, plan.roles[role].name, people, role));
  return [
    ...groups,
    headingOf(
      "",
      "No role yet",
      rowsWhere(plan, (own) => firstRoleOf(own) === undefined),
    ),
  ];
}

/** With filters that only people can pass, nothing is added up that is given to nobody by name. */
function byTeam(placed: Placed, filters: BoardFilters): BoardGroup[] {
  const { plan } = placed;
  const people = rowById(plan.people);
  const isOfPeople = filters.role !== "" || filters.skill !== "" || filters.location !== "";
  const groups = teamReaches(plan).map((reach, row): BoardGroup => {
    const { id, name, memberIds } = plan.teams[row];
    const members = memberIds.map((member) => lookUp(people, member));
    const work = isOfPeople ? [] : reachedWork(placed, reach).work;
    return { ...headingOf(id, name, members), summed: reach.people, work };
  });
  const inOne = new Set(groups.flatMap((group) => group.people));
  return [
    ...groups,
    headingOf(
      "",
      "In no team",
      rowsWhere(plan, (_, row) => !inOne.has(row)),
    ),
  ];
}

function byLocation(plan: Plan): BoardGroup[] {
  const places = [...new Set(plan.people.flatMap(({ location }) => location ?? []))].sort();
  const groups = places.map((place) =>
    headingOf(
      place,
      place,
      rowsWhere(plan, ({ location }) => location === place),
    ),
  );
  return [
    ...groups,
    headingOf(
      "",
      "No place stated",
      rowsWhere(plan, ({ location }) => location === undefined),
    ),
  ];
}

function rowsWhere({ people }: Plan, isWanted: (person: Person, row: number) => boolean): number[] {
  return people.flatMap((person, row) => (isWanted(person, row) ? [row] : []));
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
