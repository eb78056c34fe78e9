// Hours of a period typed over: the weeks of an assignment become stated one by one. Its total stays: what is taken out of
// a period goes to those still to come, stays open on the task, or is dropped.

import { type BarChange, type BarFault, placeOf } from "../bars/moveBar.ts";
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { todayOf } from "../calendar/horizon.ts";
import type { Range } from "../calendar/periods.ts";
import type { Edit, SingleEdit } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { splitByWeight } from "../placing/split.ts";
import { columnOf, findRow, membersOf } from "../plan/rows.ts";
import type { Assignment } from "../plan/schema.ts";
import { isRecordedPast } from "../progress/progress.ts";
import { exactHours, workMinutes } from "../values/units.ts";
import { type Bucket, statedBy, weeksIn } from "./typedBuckets.ts";

/** The destination of hours that are removed from a period. */
export type Rest = "later" | "open" | "dropped";

/** Hours typed over a period, by where the rest goes; `minutes` of rest went there. */
export interface TypedPeriod {
  range: Range;
  /** The rest, in minutes; 0 where nothing was taken out. */
  minutes: number;
  /** The default destination: not "later" if no period is still to come. */
  usual: Rest;
  edits: Partial<Record<Rest, Edit>>;
}

/** Types over the hours of a period. The weeks become stated one by one, and what the assignment asked for stays its total.
 * @param newId The id of an opening for what is left open. */
export function typePeriod(
  model: Model,
  assignmentId: string,
  period: Range,
  hours: number,
  { clock, newId }: { clock: Day; newId: string },
): TypedPeriod | { fault: BarFault } {
  const place = placeOf(model, assignmentId);
  if ("fault" in place) return place;
  const { row } = place;
  if (isRecordedPast(model.progress, model.work.task[row], period)) return { fault: "recorded" };
  const { start: firsts, length, asked } = model.placements;
  const all = { start: firsts[row], stop: firsts[row] + length[row] };
  const placed = placedIn(model.placements, row, 10_000, all.start, all.stop);
  const typed: Bucket = { from: formatDay(period.start), to: formatDay(period.stop - 1), hours };
  const before = weeksIn(model, row, { start: all.start, stop: Math.min(all.stop, period.start) });
  const after = weeksIn(model, row, { start: Math.max(all.start, period.stop), stop: all.stop });
  // Hours without a day are part of the total, too.
  const outside = placed - placedIn(model.placements, row, 10_000, period.start, period.stop);
  const minutes = Math.max(0, Math.max(asked[row], placed) - outside - workMinutes(hours));
  const editOf = (custom: readonly Bucket[]) => statedBy(place, custom);
  const own = hours > 0 ? [typed] : [];
  const plain = editOf([...before, ...own, ...after]);
  if (minutes === 0) return { range: period, minutes, usual: "dropped", edits: { dropped: plain } };
  const today = todayOf(model.plan, clock);
  const isToCome = ({ from }: Bucket) => parseDay(from) >= today;
  const edits: TypedPeriod["edits"] = restEdits(model, row, plain, minutes, newId);
  if ([...before, ...after].some(isToCome)) {
    const [earlier, later] = spread([before, after], isToCome, minutes);
    edits.later = editOf([...earlier, ...own, ...later]);
  }
  return { range: period, minutes, usual: (["later", "open", "dropped"] as const).find((rest) => edits[rest]) ?? "dropped", edits };
}

/** Gives typed weeks back to the rule: the same hours in total, spread over the task. */
export function untype(model: Model, assignmentId: string): BarChange {
  const place = placeOf(model, assignmentId);
  if ("fault" in place) return place;
  const { custom } = place.assignment;
  if (!custom) return { fault: "notTyped" };
  const hours = Math.round(custom.reduce((sum, bucket) => sum + bucket.hours, 0) * 100) / 100;
  return {
    edit: { kind: "changeAssignment", id: assignmentId, set: { custom: null, hours } },
    range: { start: place.task.start, stop: place.task.finish + 1 },
  };
}

/** An assignment's work week by week as it is placed, to the minute. */
export function placedWeeks(model: Model, row: number): Bucket[] {
  const { start, length } = model.placements;
  return weeksIn(model, row, { start: start[row], stop: start[row] + length[row] });
}

/** The weeks of some lists that are still to come get more, by what they have; the last of them ends at the whole. */
function spread(lists: readonly Bucket[][], isToCome: (week: Bucket) => boolean, minutes: number): Bucket[][] {
  const shares = columnOf(lists.flat(), (week) => (isToCome(week) ? workMinutes(week.hours) : 0));
  splitByWeight(minutes, shares, 0, shares.length);
  let at = 0;
  return lists.map((weeks) => weeks.map((week) => ({ ...week, hours: exactHours(workMinutes(week.hours) + shares[at++]) })));
}

/** The change with what is taken out left open on the task, and with it dropped. Where the task's effort asks for more than
 * its people have, what nobody has is open already, and dropping it takes it off the effort. */
function restEdits(
  model: Model,
  row: number,
  change: SingleEdit,
  minutes: number,
  newId: string,
): Pick<TypedPeriod["edits"], "open" | "dropped"> {
  const { plan, work, placements } = model;
  const { taskId, roleId, personId, firmness } = plan.assignments[row];
  const task = plan.tasks[work.task[row]];
  const given = membersOf(work.byTask, work.task[row]).reduce(
    (sum, own) => sum + (own < plan.assignments.length ? placements.asked[own] : 0),
    0,
  );
  const effort = workMinutes(task.effortHours ?? 0);
  if (effort >= given) {
    const less: SingleEdit = { kind: "changeTask", id: taskId, set: { effortHours: exactHours(effort - minutes) } };
    return { open: change, dropped: { kind: "together", words: "type hours and remove the rest", edits: [change, less] } };
  }
  const role = roleId ?? task.roleId ?? findRow(plan.people, personId)?.roleIds[0];
  if (role === undefined) return { dropped: change };
  const opening: Assignment = { id: newId, taskId, roleId: role, hours: exactHours(minutes), ...(firmness && { firmness }) };
  const edits: SingleEdit[] = [change, { kind: "addAssignment", assignment: opening }];
  return { open: { kind: "together", words: "type hours and leave the rest unassigned", edits }, dropped: change };
}
