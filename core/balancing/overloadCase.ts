// A person's overload as the ways out of it see it: the days that are over, and the work that falls on them.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import type { SingleEdit } from "../edits/edit.ts";
import { defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { workedDays as placedDays, placedIn } from "../placing/placements.ts";
import { membersOf } from "../plan/rows.ts";
import type { Assignment, Task } from "../plan/schema.ts";
import type { RemedyKind } from "./kinds.ts";
import { overDays } from "./measures.ts";

/** A possible remedy: the edits of one step, not tried yet. */
export interface Proposal {
  kind: RemedyKind;
  edits: SingleEdit[];
  /** The work it is about and who receives it, where it has them. */
  assignmentId?: string;
  recipientId?: string;
  /** Of an opening that is the rest of an effort. */
  taskId?: string;
}

/** Work that falls on days that are over. */
export interface Piece {
  row: number;
  assignment: Assignment;
  task: Task;
  /** The first and the day after the last day with work. */
  start: Day;
  stop: Day;
  /** Minutes of it on the days that are over. */
  onOver: number;
}

/** An overload: a person's, on some days. */
export interface OverloadCase {
  model: Model;
  person: number;
  /** The days considered, from the status date on. */
  range: Range;
  /** Minutes over capacity by day; index is `day − range.start`. */
  over: Int32Array;
  /** Everything before this day stays as it is; null if no day counts as today. */
  today: Day | null;
  /** The largest piece first. */
  pieces: Piece[];
  /** Number of people tried for one piece. */
  mostRecipients: number;
  /** Row of the one person who may receive work, where it is they who are looked at. */
  onlyRecipient?: number;
  /** Ids that the plan does not have yet, each another one. */
  newId: () => string;
}

/** Lays out an overload; null where nothing is over on these days. */
export function overloadCase(
  model: Model,
  asked: { person: number; range: Range; today: Day | null },
  { newId, mostRecipients }: Pick<OverloadCase, "newId" | "mostRecipients">,
): OverloadCase | null {
  const { person, today } = asked;
  const range = { start: Math.max(asked.range.start, today ?? asked.range.start), stop: asked.range.stop };
  const over = overDays(model, person, range);
  if (!over.some((minutes) => minutes > 0)) return null;
  return { model, person, range, over, today, pieces: piecesOn(model, person, range, over), mostRecipients, newId };
}

/** True of work that may be changed: nothing done, and nothing that is locked. */
export function isOpenToChange({ plan, work }: Model, row: number): boolean {
  // Recorded hours are a fact.
  if (row >= work.assignments) return false;
  const task = plan.tasks[work.task[row]];
  const person = plan.people[work.person[row]];
  return task.state !== "done" && !task.locked && !plan.projects[work.project[row]].locked && !person?.locked;
}

/** The work of a person that falls on some days, the largest first. @param over Minutes by day; days of 0 are not meant. */
export function piecesOn(model: Model, person: number, range: Range, over: Int32Array): Piece[] {
  const { plan, work, placements } = model;
  const { shares } = model.load(defaultCounting);
  const pieces = [...membersOf(work.byPerson, person)].flatMap((row): Piece[] => {
    if (shares[row] <= 0 || !isOpenToChange(model, row)) return [];
    let onOver = 0;
    for (let i = 0; i < over.length; i++)
      if (over[i] > 0) onOver += placedIn(placements, row, 10_000, range.start + i, range.start + i + 1);
    if (onOver === 0) return [];
    return [{ row, assignment: plan.assignments[row], task: plan.tasks[work.task[row]], ...workedDays(model, row), onOver }];
  });
  return pieces.sort((a, b) => b.onOver - a.onOver || a.row - b.row);
}

/** The first day on which a row of work has minutes, and the day after the last. */
export const workedDays = ({ placements }: Model, row: number): Range => placedDays(placements, row);

/** The first and last of the days that are over. */
export function overSpan({ range, over }: OverloadCase): { first: Day; last: Day } {
  const first = over.findIndex((minutes) => minutes > 0);
  return { first: range.start + first, last: range.start + over.findLastIndex((minutes) => minutes > 0) };
}

/** True of work that had begun before the status date: what lies before it is not written again. */
export const hasBegun = ({ today }: OverloadCase, { start, task }: Piece): boolean =>
  (today !== null && start < today) || task.state === "underWay" || (task.percentComplete ?? 0) > 0;
