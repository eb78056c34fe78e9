// Stating an assignment's work in another way, so that it asks for the same hours: by the person's own working days in the
// window, not by weeks of forty hours.
import { formatDay } from "../calendar/day.ts";
import { applyEdit, type EditOf } from "../edits/edit.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Assignment } from "../plan/schema.ts";
import { type Way, wayOf } from "../plan/workStated.ts";
import { updateModel } from "../update/update.ts";
import { lookUp } from "../values/lookUp.ts";
import { placedWeeks } from "./typePeriod.ts";

/** All that states an assignment's work, null for what it does not state. */
export type StatedFields = { [K in Way | "customFrom" | "shape"]: Exclude<Assignment[K], undefined> | null };

/** The fields of an assignment that state its work; a key that it does not state is null. */
export function statedFields(assignment: Assignment): StatedFields {
  const {
    hours = null,
    percent = null,
    hoursPerDay = null,
    hoursPerWeek = null,
    custom = null,
    customFrom = null,
    shape = null,
  } = assignment;
  return { hours, percent, hoursPerDay, hoursPerWeek, custom, customFrom, shape };
}

/** The same work in another statement, and its minutes then. */
export interface Restated {
  set: EditOf<"changeAssignment">["set"];
  asked: number;
}

/** An amount of each way to measure by, and the most that may be stated. */
const measures = {
  percent: { unit: 100, most: 1_000 },
  hoursPerDay: { unit: 8, most: 24 },
  hoursPerWeek: { unit: 40, most: 168 },
} as const;

const cleared = { hours: null, percent: null, hoursPerDay: null, hoursPerWeek: null, custom: null };

const hundredths = (value: number): number => Math.round(value * 100) / 100;

/** The statement of an assignment's work, now and in another way. */
export interface Restatement {
  from: Way;
  now: StatedFields;
  /** Null where there is no working day to state it by. */
  next: StatedFields | null;
}

/** Null where the assignment is gone. */
export function restatement(model: Model, assignmentId: string, way: Way): Restatement | null {
  const assignment = findRow(model.plan.assignments, assignmentId);
  if (!assignment) return null;
  const now = statedFields(assignment);
  const made = restate(model, assignmentId, way);
  return { from: wayOf(assignment), now, next: made && ({ ...now, ...made.set } as StatedFields) };
}

/** An assignment's work stated in another way.
 * @returns Null where it cannot be: the assignment is gone, or has no working day to state it by. */
export function restate(model: Model, assignmentId: string, way: Way): Restated | null {
  const row = rowById(model.plan.assignments).get(assignmentId);
  if (row === undefined) return null;
  // A share of the time of a person who works more than their task's calendar results in more than it asks for.
  const asked = Math.max(model.placements.asked[row], model.placements.placed[row]);
  if (way === "hours") return measured(model, assignmentId, { ...cleared, hours: hundredths(asked / 60) });
  if (way === "custom") {
    const dates = model.schedule.of(model.work.task[row]);
    const from = !dates ? {} : { customFrom: formatDay(dates.start.day) };
    const weeks = placedWeeks(model, row);
    const last = weeks.at(-1);
    if (!last) return null;
    // Hours without a day stay with the work: restating it loses nothing.
    last.hours = Math.round((last.hours + model.placements.unplaced[row] / 60) * 10_000) / 10_000;
    return measured(model, assignmentId, { ...cleared, shape: null, ...from, custom: weeks });
  }
  const { unit, most } = measures[way];
  const ofUnit = measured(model, assignmentId, { ...cleared, [way]: unit })?.asked ?? 0;
  if (ofUnit === 0) return null;
  return measured(model, assignmentId, { ...cleared, [way]: Math.min(most, hundredths((asked / ofUnit) * unit)) });
}

/** The minutes of an assignment in that statement; null if it is not possible. */
function measured(model: Model, id: string, set: Restated["set"]): Restated | null {
  const outcome = applyEdit(model.plan, { kind: "changeAssignment", id, set });
  if (!outcome.plan) return null;
  const after = updateModel(model, outcome.plan, outcome.changes);
  return { set, asked: after.placements.asked[lookUp(rowById(outcome.plan.assignments), id)] };
}
