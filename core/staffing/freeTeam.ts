// Several needs at once: who could take them together between two days, how it is split, and from when if not then.
import type { Day } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import type { Edit, SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import type { Assignment, Task } from "../plan/schema.ts";
import { lookUp } from "../values/lookUp.ts";
import { exactHours } from "../values/units.ts";
import { missingOf } from "./match.ts";

/** Hours of a role, of skills, or of both. */
export interface TeamNeed {
  /** Null for any role. */
  roleId: string | null;
  skills: readonly { skillId: string; level: number }[];
  minutes: number;
}

export interface TeamQuery {
  needs: readonly TeamNeed[];
  from: Day;
  /** Last day, included. */
  until: Day;
}

/** The part of one need that one person takes. Minutes. */
export interface TeamShare {
  need: number;
  personId: string;
  name: string;
  minutes: number;
}

export interface FreeTeam {
  /** Between the days asked for; the needs in their order. */
  shares: TeamShare[];
  /** By need: minutes that nobody has room for then. */
  short: number[];
  /** The first day from which as many days have room for all of it, and how it is split then; null where the horizon has none. */
  later: { from: Day; shares: TeamShare[] } | null;
}

/** Splits the needs over those who fit, as few as possible: of the needs the one with the fewest people first, of the
 * people who has most room. Nobody is given more than their room of the days together. */
export function freeTeam(model: Model, { needs, from, until }: TeamQuery): FreeTeam {
  const length = Math.max(1, until - from + 1);
  const sums = new RoomSums(model, needs, { start: from, stop: Math.max(horizonOf(model.plan).stop, until + 1) });
  const now = split(model, sums, needs, 0, length);
  if (now.short.every((minutes) => minutes === 0)) return { ...now, later: { from, shares: now.shares } };
  for (let start = 1; start + length <= sums.days; start++) {
    if (!sums.mayFit(start, length)) continue;
    const then = split(model, sums, needs, start, length);
    if (then.short.every((minutes) => minutes === 0)) return { ...now, later: { from: from + start, shares: then.shares } };
  }
  return { ...now, later: null };
}

/** Room of everyone who fits a need, as running sums by day. */
class RoomSums {
  readonly days: number;
  /** By need, rows of people who fit it. */
  readonly fitting: number[][];
  readonly #sums = new Map<number, Int32Array>();
  readonly #needs: readonly TeamNeed[];

  constructor(model: Model, needs: readonly TeamNeed[], range: { start: Day; stop: Day }) {
    const { plan } = model;
    this.#needs = needs;
    this.days = range.stop - range.start;
    const load = model.load(defaultCounting);
    this.fitting = needs.map(({ roleId, skills }) => {
      const role = roleId === null ? -1 : plan.roles.findIndex(({ id }) => id === roleId);
      const asked = { skills: [...skills] };
      return plan.people.flatMap((person, row) => (missingOf(plan, person, asked, role).length === 0 ? [row] : []));
    });
    for (const row of new Set(this.fitting.flat())) {
      const room = roomDays(model, load, row, range);
      const sums = new Int32Array(room.length + 1);
      for (let i = 0; i < room.length; i++) sums[i + 1] = sums[i] + room[i];
      this.#sums.set(row, sums);
    }
  }

  /** Minutes a person has free in `length` days from the `start`-th on. */
  of(row: number, start: number, length: number): number {
    const sums = lookUp(this.#sums, row);
    return sums[start + length] - sums[start];
  }

  /** False where a need alone has too little room. */
  mayFit(start: number, length: number): boolean {
    return this.#needs.every(({ minutes }, need) => {
      let room = 0;
      for (const row of this.fitting[need]) {
        room += this.of(row, start, length);
        if (room >= minutes) return true;
      }
      return room >= minutes;
    });
  }
}

function split({ plan }: Model, sums: RoomSums, needs: readonly TeamNeed[], start: number, length: number): Omit<FreeTeam, "later"> {
  const left = new Map<number, number>();
  const roomOf = (row: number) => left.get(row) ?? sums.of(row, start, length);
  const shares: TeamShare[] = [];
  const short = needs.map(() => 0);
  const order = needs.map((_, need) => need).sort((a, b) => sums.fitting[a].length - sums.fitting[b].length || a - b);
  for (const need of order) {
    let open = needs[need].minutes;
    const people = [...sums.fitting[need]].sort((a, b) => roomOf(b) - roomOf(a) || a - b);
    for (const row of people) {
      const minutes = Math.min(open, roomOf(row));
      if (minutes <= 0) break;
      shares.push({ need, personId: plan.people[row].id, name: plan.people[row].name, minutes });
      left.set(row, roomOf(row) - minutes);
      open -= minutes;
      if (open === 0) break;
    }
    short[need] = open;
  }
  return { shares: shares.sort((a, b) => a.need - b.need), short };
}

export interface PencilQuery {
  projectId: string;
  name: string;
  /** First and last day, `YYYY-MM-DD`. */
  start: string;
  finish: string;
  needs: readonly TeamNeed[];
  shares: readonly TeamShare[];
  /** Begins the ids of what is added. */
  idStem: string;
}

/** A task between the two days with everyone pencilled in for their share; what nobody takes is an opening. */
export function pencilTeam({ projectId, name, start, finish, needs, shares, idStem }: PencilQuery): Edit {
  const taskId = `${idStem}-task`;
  const task: Task = { id: taskId, projectId, name, sizing: "dates", start, finish };
  const roleOf = (need: number) => {
    const { roleId } = needs[need];
    return roleId === null ? {} : { roleId };
  };
  const taken = shares.map(
    ({ need, personId, minutes }, at): Assignment => ({
      id: `${idStem}-${at + 1}`,
      taskId,
      personId,
      ...roleOf(need),
      hours: exactHours(minutes),
      firmness: "pencilled",
    }),
  );
  const open = needs.flatMap(({ roleId, minutes }, need): Assignment[] => {
    const rest = minutes - shares.reduce((sum, own) => sum + (own.need === need ? own.minutes : 0), 0);
    return rest > 0 && roleId !== null
      ? [{ id: `${idStem}-open-${need + 1}`, taskId, roleId, hours: exactHours(rest), firmness: "pencilled" }]
      : [];
  });
  const edits: SingleEdit[] = [
    { kind: "addTask", task, next: null },
    ...[...taken, ...open].map((assignment) => ({ kind: "addAssignment" as const, assignment })),
  ];
  return { kind: "together", words: `pencil in "${name}"`, edits };
}
