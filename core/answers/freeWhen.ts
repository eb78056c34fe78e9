// Availability: the people who have room for a role, skills, hours and dates, and from when if nobody has it now.
import type { Day } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { defaultCounting } from "../load/counting.ts";
import { roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { firstRoleName } from "../plan/names.ts";

export interface FreeQuery {
  /** Null for any role. */
  roleId: string | null;
  skills: readonly { skillId: string; level: number }[];
  minutes: number;
  from: Day;
  /** Last day, included. */
  until: Day;
}

export interface FreePerson {
  personId: string;
  name: string;
  roleName: string;
  /** Minutes free in the dates asked for. */
  room: number;
  /** First day from which as long a stretch has room for all of it; null where the horizon has none. */
  from: Day | null;
}

/** People with the role and every skill at its least level: who has room first, most room first; then by when they will. */
export function freeWhen(model: Model, { roleId, skills, minutes, from, until }: FreeQuery): FreePerson[] {
  const { plan } = model;
  const load = model.load(defaultCounting);
  const horizon = horizonOf(plan);
  const length = Math.max(1, until - from + 1);
  const range = { start: from, stop: Math.max(horizon.stop, from + length) };
  const list = plan.people.flatMap((person, row): FreePerson[] => {
    if (roleId !== null && !person.roleIds.includes(roleId)) return [];
    if (skills.some(({ skillId, level }) => (person.skills?.find((own) => own.skillId === skillId)?.level ?? 0) < level)) return [];
    const room = roomDays(model, load, row, range);
    const starts = firstWithRoom(room, length, minutes);
    return [
      {
        personId: person.id,
        name: person.name,
        roleName: firstRoleName(plan, person) ?? "No role",
        room: room.subarray(0, length).reduce((sum, own) => sum + own, 0),
        from: starts === null ? null : from + starts,
      },
    ];
  });
  const when = (person: FreePerson) => person.from ?? Number.POSITIVE_INFINITY;
  return list.sort((a, b) => when(a) - when(b) || b.room - a.room || a.name.localeCompare(b.name));
}

/** The first day whose following `length` days have room for `minutes`, as an index; null where there is none. */
function firstWithRoom(room: Int32Array, length: number, minutes: number): number | null {
  let sum = 0;
  for (let i = 0; i < room.length; i++) {
    sum += room[i];
    if (i >= length) sum -= room[i - length];
    // Of equal sums the later start is as good, but no day without room is a day to begin on.
    if (i >= length - 1 && sum >= minutes) {
      let first = i - length + 1;
      while (first < i && room[first] === 0 && first > 0) first++;
      return first;
    }
  }
  return null;
}
