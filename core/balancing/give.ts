// Ways in which someone else takes work: all of it, what is left of it from a day on, or a share of it.
import { type Day, formatDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { EditOf, SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { customShift } from "../placing/place.ts";
import { placedIn } from "../placing/placements.ts";
import type { Assignment } from "../plan/schema.ts";
import { exactHours, workMinutes } from "../values/units.ts";
import { hasBegun, type OverloadCase, overSpan, type Piece, type Proposal } from "./overloadCase.ts";
import { bestRecipients } from "./recipients.ts";

/** All of the work to someone else, where it has not begun. */
export function give(overload: OverloadCase, piece: Piece): Proposal[] {
  if (hasBegun(overload, piece)) return [];
  const { plan } = overload.model;
  return recipientsOf(overload, piece, piece).map((recipient) => {
    const recipientId = plan.people[recipient].id;
    return {
      kind: "give",
      edits: [{ kind: "reassign", id: piece.assignment.id, personId: recipientId }],
      assignmentId: piece.assignment.id,
      recipientId,
    };
  });
}

/** The part of the work from the first overloaded day on. Work that is sized by effort cannot be split. */
export function handOver(overload: OverloadCase, piece: Piece): Proposal[] {
  const from = overSpan(overload).first;
  if (piece.task.sizing === "effort" || from <= piece.start || from >= piece.stop) return [];
  return recipientsOf(overload, piece, { start: from, stop: piece.stop }).flatMap((recipient) => {
    const recipientId = overload.model.plan.people[recipient].id;
    const edit = splitEdit(overload.model, piece.row, { from, personId: recipientId, newId: overload.newId });
    return edit ? [{ kind: "handOver" as const, edits: [edit], assignmentId: piece.assignment.id, recipientId }] : [];
  });
}

/** The part of a row of work from a day on, given to a person or left open; null where nothing of it lies there. */
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
export function share(overload: OverloadCase, piece: Piece): Proposal[] {
  if (hasBegun(overload, piece)) return [];
  const over = overload.over.reduce((sum, minutes) => sum + minutes, 0);
  const quarters = new Set([Math.min(3, Math.ceil((4 * over) / piece.onOver)), 2]);
  return [...quarters].flatMap((part) =>
    recipientsOf(overload, piece, piece)
      .slice(0, 3)
      .map((recipient) => {
        const recipientId = overload.model.plan.people[recipient].id;
        const edits = sharedEdits(piece.assignment, part / 4, recipientId, overload.newId);
        return { kind: "share" as const, edits, assignmentId: piece.assignment.id, recipientId };
      }),
  );
}

/** The edits that leave a person less of their work and give the rest to another one. */
export function sharedEdits(assignment: Assignment, part: number, recipientId: string, newId: () => string): SingleEdit[] {
  const { id: _, personId: __, teamId: ___, ...rest } = assignment;
  const [kept, given] = partsOf(assignment, part);
  return [
    { kind: "changeAssignment", id: assignment.id, set: kept },
    { kind: "addAssignment", assignment: { ...rest, ...given, id: newId(), personId: recipientId } },
  ];
}

type Amount = Pick<Assignment, "hours" | "percent" | "hoursPerDay" | "hoursPerWeek" | "custom">;

/** The statement of work in two parts: the one that stays and the one that is reassigned. To the minute they add up to the
 * original. */
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

function recipientsOf({ model, mostRecipients, onlyRecipient }: OverloadCase, { row }: Piece, range: Range): number[] {
  const recipients = bestRecipients(model, row, range, mostRecipients);
  return onlyRecipient === undefined ? recipients : recipients.filter((recipient) => recipient === onlyRecipient);
}
