// Ways that leave the work where it is: overtime, other leave, a contractor in one's place, the overload accepted.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import type { SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { firstRoleOf } from "../plan/names.ts";
import { splitEdit } from "./give.ts";
import { MOST_OVERTIME } from "./kinds.ts";
import { hasBegun, type OverloadCase, overSpan, type Piece, type Proposal } from "./overloadCase.ts";

/** Overtime on the days that are over, by quarters of an hour; the half of it too. */
export function overtime(overload: OverloadCase): Proposal[] {
  const { model, person, over } = overload;
  const { id, overtime: known = [] } = model.plan.people[person];
  const { first, last } = overSpan(overload);
  const needed = Math.min(MOST_OVERTIME, Math.ceil(Math.max(...over) / 15) / 4);
  return [needed, Math.ceil(needed * 2) / 4].map((hoursPerDay) => {
    const entry = { id: overload.newId(), from: formatDay(first), to: formatDay(last), hoursPerDay };
    return { kind: "overtime", edits: [{ kind: "changePerson", id, set: { overtime: [...known, entry] } }] };
  });
}

/** Leave of those days that is still to come: a request declined, or approved days moved to the next weeks without work. Sick leave
 * is neither. */
export function timeOff(overload: OverloadCase): Proposal[] {
  const { model, person, range, today } = overload;
  const { id: personId, timeOff: entries = [] } = model.plan.people[person];
  return entries.flatMap((entry): Proposal[] => {
    const [from, to] = [parseDay(entry.from), parseDay(entry.to)];
    if (entry.kind === "sick" || entry.state === "declined" || to < range.start || from >= range.stop || (today !== null && from < today))
      return [];
    if (entry.state === "requested") {
      const reason = "Nobody else can do the work of these days.";
      const edits: SingleEdit[] = [{ kind: "answerTimeOff", personId, id: entry.id, state: "declined", reason }];
      return [{ kind: "timeOff", edits }];
    }
    const by = daysToIdle(overload, from, to);
    if (by === null) return [];
    const moved = { ...entry, from: formatDay(from + by), to: formatDay(to + by) };
    return [{ kind: "timeOff", edits: [{ kind: "setTimeOff", personId, timeOff: moved }] }];
  });
}

const MOST_WEEKS = 26;

/** Whole weeks until the same days are free of work for a person; null if that is more than half a year. */
export function daysToIdle({ model, person }: Pick<OverloadCase, "model" | "person">, from: Day, to: Day): number | null {
  const load = model.load(defaultCounting);
  for (let by = 7; by <= 7 * MOST_WEEKS; by += 7) {
    if (load.sum(person, from + by, to + 1 + by) === 0) return by;
  }
  return null;
}

/** The work opened to a contractor: all of it, or from the first day that is over on. */
export function contractor(overload: OverloadCase, piece: Piece): Proposal[] {
  const { plan, work } = overload.model;
  const { assignment } = piece;
  const roleId = plan.roles[work.role[piece.row]]?.id ?? firstRoleOf(plan.people[overload.person]);
  if (roleId === undefined) return [];
  const from = overSpan(overload).first;
  if (hasBegun(overload, piece)) {
    if (piece.task.sizing === "effort" || from <= piece.start) return [];
    const edit = splitEdit(overload.model, piece.row, { from, personId: null, newId: overload.newId });
    return edit ? [{ kind: "contractor", edits: [{ ...edit, roleId }], assignmentId: assignment.id }] : [];
  }
  const edits: SingleEdit[] = [{ kind: "changeAssignment", id: assignment.id, set: { personId: null, roleId } }];
  return [{ kind: "contractor", edits, assignmentId: assignment.id }];
}

/** The overload left as it is; why is for the person who accepts it to say. */
export function accept(overload: OverloadCase): Proposal[] {
  const { first, last } = overSpan(overload);
  const acceptance = {
    id: overload.newId(),
    personId: overload.model.plan.people[overload.person].id,
    from: formatDay(first),
    to: formatDay(last),
    reason: "Accepted for these days.",
  };
  return [{ kind: "accept", edits: [{ kind: "acceptOverload", acceptance }] }];
}
