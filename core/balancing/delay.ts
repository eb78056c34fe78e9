// Ways in which work is done later, or takes longer: a delay that can be removed, later dates of a person, more days.

import { ownDatesMoved } from "../bars/shiftBar.ts";
import { formatDay, parseDay } from "../calendar/day.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { SingleEdit } from "../edits/edit.ts";
import type { Settable } from "../edits/kind.ts";
import type { Model } from "../model.ts";
import { membersOf } from "../plan/rows.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { statedPin } from "../schedule/pin.ts";
import { HOURS } from "../work/statement.ts";
import { hasBegun, type OverloadCase, overSpan, type Piece, type Proposal } from "./overloadCase.ts";

/** Working days that are tried next to those that clear the overload whole. */
const TRIED_DAYS = [1, 2, 3, 5, 10];

/** Later within the slack of the task, so that no project finishes later; the person alone, where their task goes on. */
export function delay(overload: OverloadCase, piece: Piece): Proposal[] {
  return [...laterThere(overload, piece), ...delays(overload, piece).flatMap(({ proposal, isWithin }) => (isWithin ? [proposal] : []))];
}

/** Later than the slack allows: what moves with it is measured. */
export function postpone(overload: OverloadCase, piece: Piece): Proposal[] {
  const beyond = delays(overload, piece).filter(({ isWithin }) => !isWithin);
  return beyond.slice(-3).map(({ proposal }) => ({ ...proposal, kind: "postpone" }));
}

/** The person begins after the overload, while the task stays where it is. */
function laterThere(overload: OverloadCase, piece: Piece): Proposal[] {
  const { assignment, task } = piece;
  const from = overSpan(overload).last + 1;
  if (hasBegun(overload, piece) || task.sizing === "effort" || assignment.custom || from >= piece.stop) return [];
  const edits: SingleEdit[] = [{ kind: "changeAssignment", id: assignment.id, set: { from: formatDay(from) } }];
  return [{ kind: "delay", edits, assignmentId: assignment.id }];
}

interface Delay {
  proposal: Proposal;
  isWithin: boolean;
}

function delays(overload: OverloadCase, piece: Piece): Delay[] {
  const { model } = overload;
  const { work, schedule } = model;
  const task = work.task[piece.row];
  const dates = schedule.of(task);
  if (!dates || dates.isSummary || dates.isIdlePin || hasBegun(overload, piece)) return [];
  if (overload.today !== null && dates.start.day < overload.today) return [];
  const clears = Math.ceil((dates.line.place(overSpan(overload).last + 1, 0) - dates.startAt) / TICKS_PER_DAY);
  const within = Math.floor((model.slack().of(task)?.total ?? 0) / TICKS_PER_DAY);
  const days = [...new Set([...TRIED_DAYS, within, clears].filter((own) => own > 0 && own <= Math.max(clears, 1)))].sort((a, b) => a - b);
  return days.flatMap((own): Delay[] => {
    const edits = delayEdits(model, task, dates, own);
    return edits ? [{ proposal: { kind: "delay", edits, assignmentId: piece.assignment.id }, isWithin: own <= within }] : [];
  });
}

/** The edits that start a task some whole working days later, with the dates that people have of their own on it: a delay that
 * can be removed, and of a pinned task other dates. Null where typed hours would be left behind.
 * @param days Fewer than none move a pinned task earlier. */
export function delayEdits({ plan, work }: Model, row: number, dates: TaskDates, days: number): SingleEdit[] | null {
  const task = plan.tasks[row];
  const own = [...membersOf(work.byTask, row)].flatMap((at) => plan.assignments[at] ?? []);
  if (own.some(({ custom, customFrom }) => custom && customFrom === undefined)) return null;
  const { line, startAt, start } = dates;
  const by = line.asStart(startAt + days * TICKS_PER_DAY).day - start.day;
  const moved = own.flatMap((assignment) => ownDatesMoved(assignment, by));
  const pin = task.sizing === "dates" ? statedPin(task) : null;
  const set = pin
    ? { start: formatDay(pin.start + by), finish: formatDay(pin.finish + by) }
    : { staggerDays: (task.staggerDays ?? 0) + days };
  return [{ kind: "changeTask", id: task.id, set }, ...moved];
}

/** True of a task whose labour is all stated as totals: with other days it stays as much work. */
export function isInTotals({ work }: Model, task: number): boolean {
  const rows = [...membersOf(work.byTask, task)].filter((row) => row < work.assignments && work.isMaterial[row] === 0);
  return rows.every((row) => work.way[row] === HOURS);
}

/** The same hours over more days: the task lasts longer. */
export function spread(overload: OverloadCase, piece: Piece): Proposal[] {
  const { task, assignment } = piece;
  if (hasBegun(overload, piece) || assignment.to !== undefined || !isInTotals(overload.model, overload.model.work.task[piece.row]))
    return [];
  if (task.sizing === "duration" && task.durationDays) {
    const { durationDays } = task;
    return [1.25, 1.5, 2].map((factor) => {
      const edits: SingleEdit[] = [{ kind: "changeTask", id: task.id, set: { durationDays: Math.ceil(durationDays * factor) } }];
      return { kind: "spread", edits, assignmentId: assignment.id };
    });
  }
  if (task.sizing !== "dates" || task.start === undefined || task.finish === undefined) return [];
  const [start, finish] = [parseDay(task.start), parseDay(task.finish)];
  return [1.25, 1.5, 2].map((factor) => {
    const set = { finish: formatDay(start + Math.ceil((finish + 1 - start) * factor) - 1) };
    return { kind: "spread", edits: [{ kind: "changeTask", id: task.id, set }], assignmentId: assignment.id };
  });
}

/** Fewer hours a day for longer: a lower share of the day, the hours staying what they are. */
export function lighten(overload: OverloadCase, piece: Piece): Proposal[] {
  const { task, assignment } = piece;
  if (hasBegun(overload, piece)) return [];
  if (task.sizing === "effort") {
    const share = assignment.percent ?? 100;
    return [75, 50, 25].map((part) => {
      const set = { percent: Math.round(share * part) / 100 };
      return { kind: "lighten", edits: [{ kind: "changeAssignment", id: assignment.id, set }], assignmentId: assignment.id };
    });
  }
  return stretched(overload, piece);
}

/** Of work stated by the day or week, where nobody else is on its task: a lower share over as many more days. */
function stretched({ model }: OverloadCase, { row, task, assignment }: Piece): Proposal[] {
  const { work } = model;
  const key = assignment.percent !== undefined ? "percent" : assignment.hoursPerDay !== undefined ? "hoursPerDay" : "hoursPerWeek";
  const amount = assignment[key];
  const isAlone = [...membersOf(work.byTask, work.task[row])].every((at) => at === row || work.isMaterial[at] === 1);
  if (amount === undefined || !isAlone || task.sizing !== "duration" || !task.durationDays || assignment.from || assignment.to) return [];
  const { durationDays } = task;
  return [2 / 3, 0.5].map((part): Proposal => {
    const less: Settable<"assignments"> = { [key]: Math.round(amount * part * 100) / 100 };
    const edits: SingleEdit[] = [
      { kind: "changeAssignment", id: assignment.id, set: less },
      { kind: "changeTask", id: task.id, set: { durationDays: Math.round((durationDays / part) * 2) / 2 } },
    ];
    return { kind: "lighten", edits, assignmentId: assignment.id };
  });
}
