// Hours that cannot be worked as planned: why, and what would get them placed.
import { type Day, formatDay, parseDay } from "../calendar/day.ts";
import { firstRoleOf } from "../plan/names.ts";
import type { Assignment, Person, Plan, Task } from "../plan/schema.ts";
import { customShift } from "./place.ts";
import type { Placed } from "./placed.ts";
import { windowOf } from "./window.ts";

export type UnplaceableReason = "noDates" | "notYet" | "left" | "away" | "noWorkingTime";

/** An assignment with hours that could not be placed, and the ways out that its dates allow. */
export interface Unplaceable {
  assignmentId: string;
  taskId: string;
  taskName: string;
  projectId: string;
  projectName: string;
  personId: string | null;
  personName: string;
  /** Minutes not placed, of those asked for. */
  minutes: number;
  asked: number;
  reason: UnplaceableReason;
  /** The day that decides: the first day employed or the last, the last day away. */
  day: Day | null;
  /** The date and side of a split that helps. */
  split: { date: string; gives: "earlier" | "later"; roleId: string | null; hours: number | null; shiftDays: number } | null;
  /** The edit that moves the task to days on which the person works; null if its dates cannot be moved that way. */
  move: { from: string; set: Partial<Pick<Task, "notBefore" | "start" | "finish">> } | null;
}

/** Every counted assignment with unplaced hours; those of one person where `person` is given.
 * @param shares By row of work: 0 leaves it out. */
export function unplaceablesOf(model: Placed, shares: Int32Array, person?: number): Unplaceable[] {
  const { work, placements } = model;
  const found: Unplaceable[] = [];
  for (let row = 0; row < work.assignments; row++) {
    if (shares[row] < 0 || placements.unplaced[row] === 0 || work.isMaterial[row] === 1) continue;
    if (person === undefined || work.person[row] === person) found.push(unplaceableOf(model, row));
  }
  return found;
}

/** One assignment's hours that could not be placed. */
export function unplaceableOf(model: Placed, row: number): Unplaceable {
  const { plan, work, placements, schedule } = model;
  const assignment = plan.assignments[row];
  const dates = schedule.of(work.task[row]);
  const shiftDays = dates ? customShift(assignment, dates) : 0;
  const task = plan.tasks[work.task[row]];
  const person = plan.people[work.person[row]];
  const project = plan.projects[work.project[row]];
  const window = daysOf(model, row);
  const { reason, day } = person && window ? reasonOf(person, plan, window) : { reason: noReason(window), day: null };
  return {
    assignmentId: assignment.id,
    taskId: task.id,
    taskName: task.name,
    projectId: project.id,
    projectName: project.name,
    personId: person?.id ?? null,
    personName: person?.name ?? plan.teams[work.team[row]]?.name ?? plan.roles[work.role[row]]?.name ?? "",
    minutes: placements.unplaced[row],
    asked: placements.asked[row],
    reason,
    day,
    split: day === null || !window ? null : splitOf(plan, assignment, task, reason, day, window, placements.unplaced[row], shiftDays),
    move: day === null || !window ? null : moveOf(task, reason, day, window),
  };
}

/** The first and last day that the work may be done on. */
interface Days {
  first: Day;
  last: Day;
}

const noReason = (window: Days | null): UnplaceableReason => (window ? "noWorkingTime" : "noDates");

function daysOf({ schedule, work }: Placed, row: number): Days | null {
  const dates = schedule.of(work.task[row]);
  if (!dates) return null;
  const { start, stop } = windowOf(dates, work, row);
  return { first: start, last: stop - 1 };
}

function reasonOf(person: Person, plan: Plan, { first, last }: Days): { reason: UnplaceableReason; day: Day | null } {
  const from = parseDay(person.employedFrom ?? plan.settings.planStart);
  const to = person.employedTo === undefined ? null : parseDay(person.employedTo);
  if (from > first) return { reason: "notYet", day: from };
  if (to !== null && to < last) return { reason: "left", day: to };
  const off = person.timeOff?.find(
    (entry) => entry.state === "approved" && entry.hoursPerDay === undefined && parseDay(entry.from) <= last && parseDay(entry.to) >= first,
  );
  return off ? { reason: "away", day: parseDay(off.to) } : { reason: "noWorkingTime", day: null };
}

function splitOf(
  plan: Plan,
  assignment: Assignment,
  task: Task,
  reason: UnplaceableReason,
  day: Day,
  { first, last }: Days,
  unplaced: number,
  shiftDays: number,
): Unplaceable["split"] {
  if (task.sizing === "effort") return null;
  const person = plan.people.find(({ id }) => id === assignment.personId);
  const roleId = assignment.roleId ?? task.roleId ?? firstRoleOf(person) ?? null;
  const hours = assignment.hours === undefined ? null : Math.round(unplaced / 0.6) / 100;
  const at = reason === "notYet" ? day : day + 1;
  // Outside the window one side would be empty: that is giving it away, not splitting it.
  if (at <= first || at > last || reason === "away") return null;
  return { date: formatDay(at), gives: reason === "notYet" ? "earlier" : "later", roleId, hours, shiftDays };
}

function moveOf(task: Task, reason: UnplaceableReason, day: Day, { first }: Days): Unplaceable["move"] {
  if (reason !== "notYet" && reason !== "away") return null;
  const from = reason === "away" ? day + 1 : day;
  if (from <= first) return null;
  if (task.sizing !== "dates") return { from: formatDay(from), set: { notBefore: formatDay(from) } };
  if (task.start === undefined || task.finish === undefined) return null;
  const length = parseDay(task.finish) - parseDay(task.start);
  return { from: formatDay(from), set: { start: formatDay(from), finish: formatDay(from + length) } };
}
