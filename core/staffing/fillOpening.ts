// Giving an opening to people: all of it, some of its hours, a stretch of its dates, or split between two.
import { formatDay, parseDay } from "../calendar/day.ts";
import type { EditTogether, SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";
import type { Assignment } from "../plan/schema.ts";
import { openingRow } from "./match.ts";
import { needOf } from "./need.ts";

/** One share of an opening. Without hours and dates it is all that the shares before it have left. */
export interface Share {
  personId: string;
  hours?: number;
  /** Last day of the share, `YYYY-MM-DD`: the hours that fall on the days up to it. */
  until?: string;
}

export interface FillQuery {
  openingId: string;
  shares: readonly Share[];
  isPencilled: boolean;
  /** Begins the ids of what is added; unique to one use. */
  idStem: string;
}

/** The edits that give an opening away; what no share takes stays open. Null where there is no such opening, where a
 * share asks for more than there is, or where dates are stated of effort-sized work, which has none of its own. */
export function fillOpening(model: Model, { openingId, shares, isPencilled, idStem }: FillQuery): SingleEdit[] | null {
  const { plan, placements, work } = model;
  const row = openingRow(model, openingId);
  if (row < 0 || shares.length === 0) return null;
  const assignment = row < work.assignments ? plan.assignments[row] : null;
  const task = plan.tasks[work.task[row]];
  const firmness = isPencilled ? ("pencilled" as const) : ("confirmed" as const);
  const [only] = shares;
  if (shares.length === 1 && assignment && only.hours === undefined && only.until === undefined)
    return [
      { kind: "reassign", id: assignment.id, personId: only.personId },
      ...((assignment.firmness ?? "confirmed") === firmness
        ? []
        : [{ kind: "changeAssignment" as const, id: assignment.id, set: { firmness } }]),
    ];
  if (task.sizing === "effort" && shares.some(({ until }) => until !== undefined)) return null;
  const total = round(placements.asked[row] / 60);
  let [left, begins] = [total, assignment?.from];
  const edits: SingleEdit[] = [];
  for (const [at, share] of shares.entries()) {
    const hours = share.until === undefined ? (share.hours ?? left) : hoursUntil(model, row, begins, share.until);
    if (hours <= 0 || hours > left + 0.005) return null;
    edits.push({ kind: "addAssignment", assignment: shareRow(assignment, task.id, share, hours, begins, firmness, `${idStem}-${at + 1}`) });
    left = round(left - hours);
    if (share.until !== undefined) begins = formatDay(parseDay(share.until) + 1);
  }
  if (!assignment) return edits;
  if (left <= 0) return [{ kind: "deleteAssignment", id: assignment.id }, ...edits];
  const stated = { hours: left, percent: task.sizing === "effort" ? assignment.percent : null, ...noOther };
  const from = begins === assignment.from ? {} : { from: begins };
  return [{ kind: "changeAssignment", id: assignment.id, set: { ...stated, ...from } }, ...edits];
}

const noOther = { hoursPerDay: null, hoursPerWeek: null, custom: null };

function shareRow(
  assignment: Assignment | null,
  taskId: string,
  { personId, until }: Share,
  hours: number,
  from: string | undefined,
  firmness: "pencilled" | "confirmed",
  id: string,
): Assignment {
  const last = until ?? assignment?.to;
  return {
    id,
    taskId,
    personId,
    hours: round(hours),
    firmness,
    ...(assignment?.roleId !== undefined && { roleId: assignment.roleId }),
    ...(assignment?.shape && { shape: assignment.shape }),
    ...(from !== undefined && { from }),
    ...(last !== undefined && { to: last }),
  };
}

/** Hours of an opening that fall on the days up to one, from where the shares before it end. */
function hoursUntil(model: Model, row: number, from: string | undefined, until: string): number {
  const { range, minutes } = needOf(model, row);
  const first = Math.max(range.start, from === undefined ? range.start : parseDay(from));
  const stop = Math.min(range.stop, parseDay(until) + 1);
  return stop <= first ? 0 : round(minutes.subarray(first - range.start, stop - range.start).reduce((sum, own) => sum + own, 0) / 60);
}

/** The one edit that assigns an opening, with its description; null as for `fillOpening`. */
export function fillEdit(model: Model, query: FillQuery): EditTogether | null {
  const edits = fillOpening(model, query);
  return edits && { kind: "together", words: fillWords(model, query), edits };
}

function fillWords({ plan }: Model, { openingId, shares }: FillQuery): string {
  const own = findRow(plan.assignments, openingId);
  const task = findRow(plan.tasks, own?.taskId ?? openingId);
  return `assign "${task?.name ?? openingId}" to ${shares.map(({ personId }) => findRow(plan.people, personId)?.name ?? personId).join(" and ")}`;
}

const round = (hours: number): number => Math.round(hours * 100) / 100;
