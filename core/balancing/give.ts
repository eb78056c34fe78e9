// Ways in which somebody else takes work: all of it, what is left of it from a day on, or a share of it.
import { type Day, formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { EditOf, SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { customShift } from "../placing/place.ts";
import { placedIn } from "../placing/placements.ts";
import type { Assignment } from "../plan/schema.ts";
import { exactHours, workMinutes } from "../plan/units.ts";
import { hasBegun, overSpan, type Piece, type Proposal, type Scene } from "./scene.ts";
import { bestTakers } from "./takers.ts";

/** All of the work to somebody else, where it has not begun. */
export function give(scene: Scene, piece: Piece): Proposal[] {
  if (hasBegun(scene, piece)) return [];
  const { plan } = scene.model;
  return takersOf(scene, piece, piece).map((taker) => {
    const takerId = plan.people[taker].id;
    return {
      kind: "give",
      edits: [{ kind: "reassign", id: piece.assignment.id, personId: takerId }],
      assignmentId: piece.assignment.id,
      takerId,
    };
  });
}

/** What is left from the first day that is over on. Work that is sized by effort cannot be split. */
export function handOver(scene: Scene, piece: Piece): Proposal[] {
  const from = overSpan(scene).first;
  if (piece.task.sizing === "effort" || from <= piece.start || from >= piece.stop) return [];
  return takersOf(scene, piece, { start: from, stop: piece.stop }).flatMap((taker) => {
    const takerId = scene.model.plan.people[taker].id;
    const edit = splitEdit(scene.model, piece.row, { from, personId: takerId, newId: scene.newId });
    return edit ? [{ kind: "handOver" as const, edits: [edit], assignmentId: piece.assignment.id, takerId }] : [];
  });
}

/** The part of a row of work from a day on, given to somebody or left open; null where nothing of it lies there. */
export function splitEdit(
  { plan, schedule, work, placements }: Model,
  row: number,
  { from, personId, newId }: { from: Day; personId: string | null; newId: () => string },
): EditOf<"splitAssignment"> | null {
  const assignment = plan.assignments[row];
  const minutes = placedIn(placements, row, 10_000, from, placements.start[row] + placements.length[row]);
  const dates = schedule.of(work.task[row]);
  if (minutes === 0 || !dates) return null;
  const shiftDays = customShift(assignment, dates);
  const roleId = assignment.roleId ?? plan.roles[work.role[row]]?.id;
  return {
    kind: "splitAssignment",
    id: assignment.id,
    date: formatDay(from),
    gives: "later",
    newId: newId(),
    personId,
    ...(roleId !== undefined && { roleId }),
    ...(shiftDays !== 0 && { shiftDays }),
    ...(assignment.hours !== undefined && { hours: Math.min(assignment.hours, Math.round(minutes / 0.6) / 100) }),
  };
}

/** As much of the work as is too much, in quarters, to a second person; and half of it. */
export function share(scene: Scene, piece: Piece): Proposal[] {
  if (hasBegun(scene, piece)) return [];
  const over = scene.over.reduce((sum, minutes) => sum + minutes, 0);
  const quarters = new Set([Math.min(3, Math.ceil((4 * over) / piece.onOver)), 2]);
  return [...quarters].flatMap((part) =>
    takersOf(scene, piece, piece)
      .slice(0, 3)
      .map((taker) => {
        const takerId = scene.model.plan.people[taker].id;
        const edits = sharedEdits(piece.assignment, part / 4, takerId, scene.newId);
        return { kind: "share" as const, edits, assignmentId: piece.assignment.id, takerId };
      }),
  );
}

/** The edits that leave a person less of their work and give the rest to another one. */
export function sharedEdits(assignment: Assignment, part: number, takerId: string, newId: () => string): SingleEdit[] {
  const { id: _, personId: __, teamId: ___, ...rest } = assignment;
  const [kept, given] = partsOf(assignment, part);
  return [
    { kind: "changeAssignment", id: assignment.id, set: kept },
    { kind: "addAssignment", assignment: { ...rest, ...given, id: newId(), personId: takerId } },
  ];
}

type Amount = Pick<Assignment, "hours" | "percent" | "hoursPerDay" | "hoursPerWeek" | "custom">;

/** What is stated of work in two parts: what stays, and what is given. To the minute they add up to what was stated. */
function partsOf({ hours, percent, hoursPerDay, hoursPerWeek, custom }: Assignment, part: number): [Amount, Amount] {
  if (hours !== undefined) {
    const [kept, given] = minutesIn(hours, part);
    return [{ hours: kept }, { hours: given }];
  }
  if (custom) {
    const both = custom.map((bucket) => ({ bucket, parts: minutesIn(bucket.hours, part) }));
    return [
      { custom: both.map(({ bucket, parts }) => ({ ...bucket, hours: parts[0] })) },
      { custom: both.map(({ bucket, parts }) => ({ ...bucket, hours: parts[1] })) },
    ];
  }
  const key = percent !== undefined ? "percent" : hoursPerDay !== undefined ? "hoursPerDay" : "hoursPerWeek";
  const whole = percent ?? hoursPerDay ?? hoursPerWeek ?? 0;
  const given = Math.round(whole * part * 100) / 100;
  return [{ [key]: Math.round((whole - given) * 10_000) / 10_000 }, { [key]: given }];
}

function minutesIn(hours: number, part: number): [number, number] {
  const all = workMinutes(hours);
  const given = Math.round(all * part);
  return [exactHours(all - given), exactHours(given)];
}

function takersOf({ model, mostTakers, onlyTaker }: Scene, { row }: Piece, range: Range): number[] {
  const takers = bestTakers(model, row, range, mostTakers);
  return onlyTaker === undefined ? takers : takers.filter((taker) => taker === onlyTaker);
}
