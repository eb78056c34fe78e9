// Ways that leave the work where it is: overtime, other leave, a contractor in one's place, the overload accepted.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import type { SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { firstRoleOf } from "../plan/names.ts";
import { splitEdit } from "./give.ts";
import { MOST_OVERTIME } from "./kinds.ts";
import { hasBegun, overSpan, type Piece, type Proposal, type Scene } from "./scene.ts";

/** Overtime on the days that are over, by quarters of an hour; the half of it too. */
export function overtime(scene: Scene): Proposal[] {
  const { model, person, over } = scene;
  const { id, overtime: known = [] } = model.plan.people[person];
  const { first, last } = overSpan(scene);
  const needed = Math.min(MOST_OVERTIME, Math.ceil(Math.max(...over) / 15) / 4);
  return [needed, Math.ceil(needed * 2) / 4].map((hoursPerDay) => {
    const entry = { id: scene.newId(), from: formatDay(first), to: formatDay(last), hoursPerDay };
    return { kind: "overtime", edits: [{ kind: "changePerson", id, set: { overtime: [...known, entry] } }] };
  });
}

/** Leave of those days that is still to come: a request declined, or approved days moved to the next weeks without work. Sick leave
 * is neither. */
export function timeOff(scene: Scene): Proposal[] {
  const { model, person, range, today } = scene;
  const { id: personId, timeOff: entries = [] } = model.plan.people[person];
  return entries.flatMap((entry): Proposal[] => {
    const [from, to] = [parseDay(entry.from), parseDay(entry.to)];
    if (entry.kind === "sick" || entry.state === "declined" || to < range.start || from >= range.stop || (today !== null && from < today))
      return [];
    if (entry.state === "requested") {
      const reason = "The work of these days cannot be done by anybody else.";
      const edits: SingleEdit[] = [{ kind: "answerTimeOff", personId, id: entry.id, state: "declined", reason }];
      return [{ kind: "timeOff", edits }];
    }
    const by = daysToIdle(scene, from, to);
    if (by === null) return [];
    const moved = { ...entry, from: formatDay(from + by), to: formatDay(to + by) };
    return [{ kind: "timeOff", edits: [{ kind: "setTimeOff", personId, timeOff: moved }] }];
  });
}

const MOST_WEEKS = 26;

/** How many whole weeks later some days are free of work for somebody; null where they are not within half a year. */
export function daysToIdle({ model, person }: Pick<Scene, "model" | "person">, from: Day, to: Day): number | null {
  const load = model.load(defaultCounting);
  for (let by = 7; by <= 7 * MOST_WEEKS; by += 7) {
    if (load.sum(person, from + by, to + 1 + by) === 0) return by;
  }
  return null;
}

/** The work opened to a contractor: all of it, or from the first day that is over on. */
export function contractor(scene: Scene, piece: Piece): Proposal[] {
  const { plan, work } = scene.model;
  const { assignment } = piece;
  const roleId = plan.roles[work.role[piece.row]]?.id ?? firstRoleOf(plan.people[scene.person]);
  if (roleId === undefined) return [];
  const from = overSpan(scene).first;
  if (hasBegun(scene, piece)) {
    if (piece.task.sizing === "effort" || from <= piece.start) return [];
    const edit = splitEdit(scene.model, piece.row, { from, personId: null, newId: scene.newId });
    return edit ? [{ kind: "contractor", edits: [{ ...edit, roleId }], assignmentId: assignment.id }] : [];
  }
  const edits: SingleEdit[] = [{ kind: "changeAssignment", id: assignment.id, set: { personId: null, roleId } }];
  return [{ kind: "contractor", edits, assignmentId: assignment.id }];
}

/** The overload left as it is; why is for whoever accepts it to say. */
export function accept(scene: Scene): Proposal[] {
  const { first, last } = overSpan(scene);
  const acceptance = {
    id: scene.newId(),
    personId: scene.model.plan.people[scene.person].id,
    from: formatDay(first),
    to: formatDay(last),
    reason: "Accepted for these days.",
  };
  return [{ kind: "accept", edits: [{ kind: "acceptOverload", acceptance }] }];
}
