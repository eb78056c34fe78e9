// Names for pickers: what there is to choose from.
import { findRow } from "./rows.ts";
import type { Person, Plan, RateTable } from "./schema.ts";

export interface Named {
  id: string;
  name: string;
}

export interface Names {
  people: (Named & { roleIds: string[] })[];
  roles: Named[];
  skills: Named[];
  calendars: Named[];
  projects: (Named & { code: string })[];
  teams: (Named & { handle: string })[];
  clients: Named[];
  materials: Named[];
  rateTables: (Named & { kind: RateTable["kind"] })[];
  templates: Named[];
  /** The places where people work, and the categories of projects. */
  places: string[];
  categories: string[];
}

/** Ids and names of what can be chosen in forms and pickers. */
export function namesOf(plan: Plan): Names {
  // An archived row can still be in a form that was filled in before; it is offered last.
  const archivedLast = <T extends Named>(list: readonly (T & { archived?: true })[]): T[] => [
    ...list.filter(({ archived }) => !archived),
    ...list.flatMap((own) => (own.archived ? [{ ...own, name: `${own.name} (archived)` }] : [])),
  ];
  const named = (list: readonly Named[]) => list.map(({ id, name }) => ({ id, name }));
  return {
    people: archivedLast(plan.people).map(({ id, name, roleIds }) => ({ id, name, roleIds })),
    roles: named(plan.roles),
    skills: named(plan.skills),
    calendars: named(plan.calendars),
    projects: archivedLast(plan.projects).map(({ id, name, code }) => ({ id, name, code: code ?? "" })),
    teams: plan.teams.map(({ id, name, handle }) => ({ id, name, handle })),
    clients: named(plan.clients),
    materials: named(plan.materials),
    rateTables: plan.rateTables.map(({ id, name, kind }) => ({ id, name, kind })),
    templates: named(plan.templates),
    places: [...new Set(plan.people.flatMap(({ location }) => location ?? []))].sort(),
    categories: [...new Set(plan.projects.flatMap(({ category }) => category ?? []))].sort(),
  };
}

/** A name for a copy that none of the others has. */
export function copyName(name: string, others: readonly Named[]): string {
  const taken = new Set(others.map((other) => other.name));
  const copy = `${name.slice(0, MOST_COPIED)}, copy`;
  let own = copy;
  for (let number = 2; taken.has(own); number++) own = `${copy} ${number}`;
  return own;
}

/** Letters that leave room in a name for what a copy adds. */
const MOST_COPIED = 280;

/** The role that a person's load and capacity count for: the first they have; undefined for none. */
export const firstRoleOf = (person: Pick<Person, "roleIds"> | undefined): string | undefined => person?.roleIds[0];

/** The name of a person's first role; undefined for none. */
export function firstRoleName({ roles }: Plan, person: Pick<Person, "roleIds"> | undefined): string | undefined {
  return findRow(roles, firstRoleOf(person))?.name;
}

/** Orders texts by their code points, the same on every machine: below 0 where `a` comes first. */
export function compareCodePoints(a: string, b: string): number {
  let at = 0;
  while (at < a.length && a.charCodeAt(at) === b.charCodeAt(at)) at++;
  if (at === a.length || at === b.length) return a.length - b.length;
  // The difference may be the second half of a letter.
  return codePoint(a, at - 1) - codePoint(b, at - 1) || codePoint(a, at) - codePoint(b, at);
}

const codePoint = (text: string, at: number): number => text.codePointAt(at) ?? 0;
