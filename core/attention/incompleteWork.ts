// Work that nobody would otherwise see: openings, tasks that lack a person, an estimate, dates or a role, hours that could not
// be placed, dates that cannot hold.
import { defaultCounting, isGoingOn } from "../load/counting.ts";
import { needsSomebody } from "../load/openings.ts";
import type { Model } from "../model.ts";
import { flagsOf, knownRow, rowById } from "../plan/rows.ts";
import type { Conflict } from "../schedule/conflicts.ts";
import { SUMMARY } from "../schedule/network.ts";
import { onceFor } from "../values/once.ts";

export type TrayKind = "opening" | "noPerson" | "noEstimate" | "noDates" | "noRole" | "unplaced" | "conflict";

/** One thing in the tray. */
export interface TrayItem {
  kind: TrayKind;
  taskId: string;
  taskName: string;
  projectId: string;
  projectName: string;
  assignmentId?: string;
  /** Person whose hours could not be placed. */
  personId?: string;
  /** Role that is asked for, or person whose hours could not be placed. */
  who?: string;
  minutes: number;
  /** The date conflict. */
  conflict?: Conflict;
}

/** Every such thing; work of projects that do not count (pipeline, cancelled, done) is left out. Worked out once for a model:
 * the tray and the signals both ask, after every edit. */
export const incompleteWork: (model: Model) => readonly TrayItem[] = onceFor(itemsOf);

function itemsOf(model: Model): TrayItem[] {
  const { plan, work, placements, schedule } = model;
  const shares = model.load(defaultCounting).shares;
  const { network } = schedule;
  const items: TrayItem[] = [];
  const add = (kind: TrayKind, task: number, more: Partial<TrayItem> = {}) => {
    const { id, name, projectId } = plan.tasks[task];
    const project = knownRow(plan.projects, projectId);
    items.push({ kind, taskId: id, taskName: name, projectId, projectName: project.name, minutes: 0, ...more });
  };
  for (let row = 0; row < work.rows; row++) {
    if (shares[row] < 0 || work.isMaterial[row] === 1) continue;
    if (needsSomebody(model, row)) add("opening", work.task[row], openingOf(model, row));
    else if (placements.unplaced[row] > 0) add("unplaced", work.task[row], unplacedOf(model, row));
  }
  const isCounted = flagsOf(plan.projects, isGoingOn);
  for (let row = 0; row < plan.tasks.length; row++) {
    if (network.sizing[row] === SUMMARY || isCounted[network.project[row]] === 0) continue;
    const asked = labourOf(model, row);
    const hasDates = schedule.of(row) !== null;
    const isRoleless = work.implicitRow[row] >= 0 && work.role[work.implicitRow[row]] < 0;
    // Most tasks lack nothing: they are not even looked at.
    if (hasDates && !isRoleless && asked.rows > 0) continue;
    const { state, sizing, durationDays, effortHours } = plan.tasks[row];
    if (state === "done") continue;
    const isMilestone = sizing === "duration" && durationDays === 0;
    if (!hasDates) add("noDates", row);
    if (isRoleless) add("noRole", row, { minutes: asked.minutes });
    if (asked.rows === 0 && !isMilestone) add(effortHours === undefined ? "noEstimate" : "noPerson", row, { minutes: asked.minutes });
  }
  const rows = rowById(plan.tasks);
  for (const conflict of model.conflicts()) {
    const row = rows.get(conflict.taskId ?? "");
    if (row !== undefined && isCounted[network.project[row]] === 1) add("conflict", row, { conflict });
  }
  return items;
}

const assignmentOf = ({ plan, work }: Model, row: number) => (row < work.assignments ? { assignmentId: plan.assignments[row].id } : {});

/** The details of unassigned work. */
function openingOf(model: Model, row: number): Partial<TrayItem> {
  const { plan, work, placements } = model;
  const who = plan.roles[work.role[row]]?.name ?? "no role";
  return { ...assignmentOf(model, row), who, minutes: placements.asked[row] };
}

/** The person and task of hours without a day. */
function unplacedOf(model: Model, row: number): Partial<TrayItem> {
  const { plan, work, placements } = model;
  const person = plan.people[work.person[row]];
  return {
    ...assignmentOf(model, row),
    ...(person && { personId: person.id }),
    who: person?.name ?? plan.teams[work.team[row]]?.name ?? "",
    minutes: placements.unplaced[row],
  };
}

function labourOf({ work, placements }: Model, task: number): { rows: number; minutes: number } {
  let [rows, minutes] = [0, 0];
  for (let at = work.byTask.first[task]; at < work.byTask.first[task + 1]; at++) {
    const row = work.byTask.members[at];
    if (work.isMaterial[row] === 1) continue;
    minutes += placements.asked[row];
    if (row < work.assignments) rows++;
  }
  return { rows, minutes };
}
