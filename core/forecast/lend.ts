// Open work of a role that is short, for people of other roles who have this one too.
import type { SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { openingIdOf, openingsOfRole } from "../load/openings.ts";
import { peopleSums } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { fillOpening } from "../staffing/fillOpening.ts";
import type { Help, Shortage } from "./help.ts";

const [MOST_PEOPLE, MOST_OPENINGS] = [4, 4];

type Lend = Help & { kind: "lend" };

/** The largest openings in the periods that are short, each for the person who has the most room over its days. */
export function lendHelps(model: Model, { target, group, range }: Shortage): Lend[] {
  if (target.by !== "role") return [];
  const others = othersWith(model, target.key);
  if (others.length === 0) return [];
  return openingsOf(model, group, range).flatMap(({ row, openingId }) => {
    const { placements } = model;
    const days = { start: placements.start[row], stop: placements.start[row] + placements.length[row] };
    const { capacity, load } = peopleSums(model, model.load(defaultCounting), others, [days]);
    return others
      .map((person, at) => ({ person, free: capacity[at] - load[at] }))
      .filter(({ free }) => free >= placements.placed[row])
      .sort((a, b) => b.free - a.free)
      .slice(0, MOST_PEOPLE)
      .map(({ person }): Lend => ({ kind: "lend", personId: model.plan.people[person].id, openingId }));
  });
}

/** Person rows of other roles who have this one too, and are there. */
export function othersWith({ plan }: Model, roleId: string): number[] {
  return plan.people.flatMap(({ roleIds, archived }, row) => (!archived && roleIds.indexOf(roleId) > 0 ? [row] : []));
}

function openingsOf(model: Model, role: number, { start, stop }: Shortage["range"]) {
  return openingsOfRole(model, role)
    .map((row) => ({ row, openingId: openingIdOf(model, row), minutes: placedIn(model.placements, row, 10_000, start, stop) }))
    .filter(({ minutes }) => minutes > 0)
    .sort((a, b) => b.minutes - a.minutes)
    .slice(0, MOST_OPENINGS);
}

/** The edits that give the opening away; none where it or the person is gone. */
export function lendEdits(model: Model, { personId, openingId }: Lend, idStem: string): SingleEdit[] {
  if (!model.plan.people.some(({ id }) => id === personId)) return [];
  return fillOpening(model, { openingId, shares: [{ personId }], isPencilled: false, idStem }) ?? [];
}
