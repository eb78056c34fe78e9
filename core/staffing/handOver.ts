// Handing over all that a person has to do from a day on: what there is, who could take each of it, and the edit that does it.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { Edit, SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import { roomDays } from "../load/room.ts";
import type { Model } from "../model.ts";
import { customShift } from "../placing/place.ts";
import { placedIn } from "../placing/placements.ts";
import { firstRoleName, firstRoleOf } from "../plan/names.ts";
import { findRow, membersOf, rowById } from "../plan/rows.ts";
import { needOf } from "./need.ts";

export interface HandOverRecipient {
  personId: string;
  name: string;
  roleName: string;
  hasRole: boolean;
  /** Minutes of the work that fit their room day by day, were it all they took. */
  cover: number;
}

/** One piece of work to hand over. */
export interface HandOverLine {
  assignmentId: string;
  taskName: string;
  projectName: string;
  projectRow: number;
  /** First and last day of what is handed over. */
  start: Day;
  stop: Day;
  /** Minutes of it. */
  minutes: number;
  /** All of the assignment goes: it begins on the day or after it, or its task is sized by effort and cannot be split. */
  isWhole: boolean;
  /** People with the role first, then by how much fits, then by name. */
  recipients: HandOverRecipient[];
  /** The person whom the proposal assigns; null if nobody with the role has room for all of it. */
  proposedId: string | null;
}

export interface HandOver {
  name: string;
  lines: HandOverLine[];
  /** Minutes in total. */
  minutes: number;
}

/** A person's work from a day on that is not done, the largest first, with recipients and a proposal that overloads nobody.
 * Null where they are not in the plan. */
export function handOverOf(model: Model, personId: string, from: Day): HandOver | null {
  const { plan } = model;
  const person = rowById(plan.people).get(personId);
  if (person === undefined) return null;
  const pieces = piecesOf(model, person, from);
  const left = new RoomLeft(model, spanOf(pieces.map(({ need }) => need.range)));
  const lines = pieces.map(({ row, need, minutes, isWhole }): HandOverLine => {
    const recipients = takersFor(model, person, row, need, left);
    const total = need.minutes.reduce((sum, own) => sum + own, 0);
    // Only who has room for all of it on those very days: the proposal makes nobody over.
    const best = recipients.find(({ hasRole, now }) => hasRole && now >= total);
    if (best) left.take(best.row, need);
    const { start, stop } = need.range;
    return {
      assignmentId: plan.assignments[row].id,
      taskName: plan.tasks[model.work.task[row]].name,
      projectName: plan.projects[model.work.project[row]].name,
      projectRow: model.work.project[row],
      start,
      stop,
      minutes,
      isWhole,
      recipients: recipients.map(({ now: _, row: __, ...recipient }) => recipient),
      proposedId: best?.personId ?? null,
    };
  });
  return { name: plan.people[person].name, lines, minutes: lines.reduce((sum, line) => sum + line.minutes, 0) };
}

/** The person who gets a piece of work; null leaves it unassigned. */
export interface Given {
  assignmentId: string;
  personId: string | null;
}

/** The edit that hands work over from a day on. What begins before it is split there. */
export function handOverEdit(model: Model, personId: string, from: Day, given: readonly Given[], idStem: string): Edit | null {
  const { plan, schedule, work } = model;
  const name = findRow(plan.people, personId)?.name ?? personId;
  const pieces = new Map(piecesOf(model, rowById(plan.people).get(personId) ?? -1, from).map((piece) => [piece.row, piece]));
  const edits = given.flatMap(({ assignmentId, personId: recipientId }, at): SingleEdit[] => {
    const row = rowById(plan.assignments).get(assignmentId) ?? -1;
    const piece = pieces.get(row);
    if (!piece) return [];
    const assignment = plan.assignments[row];
    const roleId = assignment.roleId ?? plan.tasks[work.task[row]].roleId ?? firstRoleOf(findRow(plan.people, personId));
    if (piece.isWhole) {
      if (recipientId !== null) return [{ kind: "reassign", id: assignmentId, personId: recipientId }];
      return roleId === undefined ? [] : [{ kind: "changeAssignment", id: assignmentId, set: { personId: null, roleId } }];
    }
    const dates = schedule.of(work.task[row]);
    const shiftDays = dates ? customShift(assignment, dates) : 0;
    return [
      {
        kind: "splitAssignment",
        id: assignmentId,
        date: formatDay(from),
        gives: "later",
        newId: `${idStem}-${at}`,
        personId: recipientId,
        ...(roleId !== undefined && { roleId }),
        ...(shiftDays !== 0 && { shiftDays }),
        ...(assignment.hours !== undefined && { hours: Math.min(assignment.hours, Math.round(piece.minutes / 0.6) / 100) }),
      },
    ];
  });
  if (edits.length === 0) return null;
  return { kind: "together", words: `hand over the work of ${name} from ${formatDay(from)}`, edits };
}

interface Piece {
  row: number;
  minutes: number;
  isWhole: boolean;
  /** Minutes by day. */
  need: { range: Range; minutes: Int32Array };
}

function piecesOf(model: Model, person: number, from: Day): Piece[] {
  const { plan, work, placements } = model;
  if (person < 0) return [];
  const pieces = [...membersOf(work.byPerson, person)].flatMap((row): Piece[] => {
    if (row >= plan.assignments.length || work.isMaterial[row] === 1 || plan.tasks[work.task[row]].state === "done") return [];
    const all = needOf(model, row);
    const stop = all.range.stop;
    const isEffort = plan.tasks[work.task[row]].sizing === "effort";
    const isWhole = all.range.start >= from || (isEffort && stop > from);
    const start = isWhole ? all.range.start : Math.max(from, all.range.start);
    if (stop <= start) return [];
    const minutes = all.minutes.slice(start - all.range.start);
    const sum = isWhole ? minutes.reduce((total, own) => total + own, 0) : placedIn(placements, row, 10_000, start, stop);
    return sum === 0 ? [] : [{ row, minutes: sum, isWhole, need: { range: { start, stop }, minutes } }];
  });
  return pieces.sort((a, b) => b.minutes - a.minutes || a.row - b.row);
}

function takersFor({ plan, work }: Model, holder: number, row: number, need: Piece["need"], left: RoomLeft) {
  const wanted = work.role[row] >= 0 ? plan.roles[work.role[row]].id : firstRoleOf(plan.people[holder]);
  return plan.people
    .flatMap((person, at) => {
      if (at === holder || (person.employedTo !== undefined && parseDay(person.employedTo) < need.range.start)) return [];
      const cover = left.fits(at, need, false);
      return [
        {
          personId: person.id,
          name: person.name,
          roleName: firstRoleName(plan, person) ?? "",
          hasRole: wanted !== undefined && person.roleIds.includes(wanted),
          cover,
          now: left.fits(at, need, true),
          row: at,
        },
      ];
    })
    .sort((a, b) => Number(b.hasRole) - Number(a.hasRole) || b.cover - a.cover || a.name.localeCompare(b.name));
}

/** Everyone's room over a span, as it is and as what has been taken so far leaves it. */
class RoomLeft {
  readonly #rooms = new Map<number, { whole: Int32Array; left: Int32Array }>();

  constructor(
    private readonly model: Model,
    private readonly span: Range,
  ) {}

  /** Minutes of a need that fit. @param isLeft What has been taken so far counts. */
  fits(person: number, { range, minutes }: Piece["need"], isLeft: boolean): number {
    const own = this.#roomOf(person);
    const room = isLeft ? own.left : own.whole;
    let sum = 0;
    for (let i = 0; i < minutes.length; i++) sum += Math.min(minutes[i], room[range.start - this.span.start + i]);
    return sum;
  }

  take(person: number, { range, minutes }: Piece["need"]): void {
    const { left } = this.#roomOf(person);
    for (let i = 0; i < minutes.length; i++) {
      const at = range.start - this.span.start + i;
      left[at] = Math.max(0, left[at] - minutes[i]);
    }
  }

  #roomOf(person: number): { whole: Int32Array; left: Int32Array } {
    let own = this.#rooms.get(person);
    if (!own) {
      const whole = roomDays(this.model, this.model.load(defaultCounting), person, this.span);
      own = { whole, left: whole.slice() };
      this.#rooms.set(person, own);
    }
    return own;
  }
}

function spanOf(ranges: readonly Range[]): Range {
  if (ranges.length === 0) return { start: 0, stop: 0 };
  return { start: Math.min(...ranges.map(({ start }) => start)), stop: Math.max(...ranges.map(({ stop }) => stop)) };
}
