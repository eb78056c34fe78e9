// Leave: who is away together, by team, and the requests that wait for an answer.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { firstRoleName } from "../plan/names.ts";
import type { Person, TimeOff } from "../plan/schema.ts";
import { lookUp } from "../values/lookUp.ts";

/** One time off, cut to nothing: with its own first day and the day after its last. */
export interface LeaveEntry {
  timeOff: TimeOff;
  start: Day;
  stop: Day;
}

export interface LeavePerson {
  personId: string;
  name: string;
  roleName: string;
  entries: LeaveEntry[];
}

export interface LeaveTeam {
  /** Null for people in no team. */
  teamId: string | null;
  name: string;
  people: LeavePerson[];
  /** People away or asking to be, by day; index 0 is the range's first day. */
  away: number[];
}

export interface LeaveRequest {
  personId: string;
  name: string;
  roleName: string;
  timeOff: TimeOff;
  /** Names of those of their teams who are away at the same time, or ask to be. */
  alsoAway: string[];
}

export interface Leave {
  range: Range;
  teams: LeaveTeam[];
  /** Requests without an answer, the earliest first, regardless of the range. */
  requests: LeaveRequest[];
}

/** All leave of a range by team; a person in two teams is in both. Declined leave is listed and counts as present. */
export function leaveOf({ plan }: Model, range: Range): Leave {
  const people = new Map(plan.people.map((person) => [person.id, person]));
  const inTeams = new Set(plan.teams.flatMap(({ memberIds }) => memberIds));
  const groups = [
    ...plan.teams.map(({ id, name, memberIds }) => ({ teamId: id, name, ids: memberIds })),
    { teamId: null, name: "In no team", ids: plan.people.filter(({ id }) => !inTeams.has(id)).map(({ id }) => id) },
  ];
  const roleName = (person: Person) => firstRoleName(plan, person) ?? "";
  const teams = groups
    .filter(({ ids }) => ids.length > 0)
    .map(({ teamId, name, ids }): LeaveTeam => {
      const members = ids.map((id) => lookUp(people, id));
      return {
        teamId,
        name,
        people: members.map((person) => ({
          personId: person.id,
          name: person.name,
          roleName: roleName(person),
          entries: entriesIn(person, range),
        })),
        away: awayByDay(members, range),
      };
    });
  return { range, teams, requests: requestsOf(plan.people, teams, roleName) };
}

function entriesIn(person: Person, range: Range): LeaveEntry[] {
  return (person.timeOff ?? [])
    .map((timeOff) => ({ timeOff, start: parseDay(timeOff.from), stop: parseDay(timeOff.to) + 1 }))
    .filter(({ start, stop }) => start < range.stop && stop > range.start)
    .sort((a, b) => a.start - b.start);
}

function awayByDay(people: readonly Person[], range: Range): number[] {
  const away = new Array<number>(Math.max(0, range.stop - range.start)).fill(0);
  for (const person of people) {
    const days = new Set<Day>();
    for (const { timeOff, start, stop } of entriesIn(person, range)) {
      if (timeOff.state === "declined") continue;
      for (let day = Math.max(start, range.start); day < Math.min(stop, range.stop); day++) days.add(day);
    }
    for (const day of days) away[day - range.start]++;
  }
  return away;
}

function requestsOf(people: readonly Person[], teams: readonly LeaveTeam[], roleName: (person: Person) => string): LeaveRequest[] {
  const requests = people.flatMap((person) =>
    (person.timeOff ?? [])
      .filter(({ state }) => state === "requested")
      .map((timeOff) => ({
        personId: person.id,
        name: person.name,
        roleName: roleName(person),
        timeOff,
        alsoAway: alsoAway(people, teams, person.id, timeOff),
      })),
  );
  return requests.sort((a, b) => (a.timeOff.from < b.timeOff.from ? -1 : 1));
}

function alsoAway(people: readonly Person[], teams: readonly LeaveTeam[], personId: string, { from, to }: TimeOff): string[] {
  const mates = new Set(
    teams
      .filter((team) => team.teamId !== null && team.people.some((member) => member.personId === personId))
      .flatMap((team) => team.people.map((member) => member.personId)),
  );
  return people
    .filter(({ id }) => id !== personId && mates.has(id))
    .filter(({ timeOff = [] }) => timeOff.some((off) => off.state !== "declined" && off.from <= to && off.to >= from))
    .map(({ name }) => name);
}
