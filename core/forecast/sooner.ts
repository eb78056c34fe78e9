// Options to let a project start earlier: one more person of a role that limits it, or another project started later.
import { type Day, parseDay } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { applyChanges } from "../edits/change.ts";
import { type Counting, defaultCounting, isGoingOn } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { updateModel } from "../update/update.ts";
import { groupsAsked } from "./demand.ts";
import { earliestStarts, type StartWeek } from "./earliest.ts";
import { roleGroups } from "./groups.ts";
import type { Help, HelpTarget } from "./help.ts";
import { helpChanges } from "./helps.ts";

/** Weeks before `from` are over, `tolerance` minutes may be short; and how pipeline projects count against the room. */
export interface StartLimits {
  from: Day;
  tolerance: number;
  /** Not at all unless stated. */
  pipeline?: Counting["pipeline"];
}

export interface SoonerWay {
  /** The role that keeps the project from an earlier week. */
  target: HelpTarget;
  help: Help;
}

const [MOST_ROLES, MOST_PROJECTS] = [2, 3];
const LATER_DAYS = [28, 56];

/** The first week in which a project fits; null where none does. */
export function firstStart(
  model: Model,
  projectRow: number,
  { from, tolerance, pipeline = defaultCounting.pipeline }: StartLimits,
): StartWeek | null {
  for (const week of earliestStarts(model, projectRow, { ...defaultCounting, pipeline }))
    if (week.start >= from && week.shortage <= tolerance) return week;
  return null;
}

/** The options worth trying, the role that limits most often first; nothing if the project fits at once. */
export function soonerWays(
  model: Model,
  projectRow: number,
  { from, tolerance, pipeline = defaultCounting.pipeline }: StartLimits,
): SoonerWay[] {
  const kept = new Map<number, number>();
  let until = from;
  for (const { start, finish, shortage, binds } of earliestStarts(model, projectRow, { ...defaultCounting, pipeline })) {
    if (start < from) continue;
    if (shortage <= tolerance) break;
    until = finish + 1;
    if (binds) kept.set(binds.role, (kept.get(binds.role) ?? 0) + binds.minutes);
  }
  const roles = [...kept].sort(([a, more], [b, other]) => other - more || a - b).slice(0, MOST_ROLES);
  const target = (role: number): HelpTarget => ({ by: "role", level: 1, key: model.plan.roles[role].id });
  return [
    ...roles.map(
      ([role]): SoonerWay => ({ target: target(role), help: { kind: "hire", people: 1, from, to: null, rate: null, learningWeeks: 4 } }),
    ),
    ...roles
      .slice(0, 1)
      .flatMap(([role]) =>
        askingFor(model, role, projectRow, { start: from, stop: until }).flatMap((project) =>
          LATER_DAYS.map(
            (days): SoonerWay => ({ target: target(role), help: { kind: "later", projectId: model.plan.projects[project].id, days } }),
          ),
        ),
      ),
  ];
}

/** Rows of the projects that have not begun and ask most of a role over some days. */
function askingFor(model: Model, role: number, projectRow: number, range: Range): number[] {
  const { plan, work, placements } = model;
  const groups = roleGroups(model);
  const isMovable = plan.projects.map(
    (project, row) => row !== projectRow && !project.locked && isGoingOn(project) && parseDay(project.start) >= range.start,
  );
  const asked = new Map<number, number>();
  for (let row = 0; row < work.rows; row++) {
    const project = work.project[row];
    if (!isMovable[project] || !groupsAsked(model, groups, row).includes(role)) continue;
    const minutes = placedIn(placements, row, 10_000, range.start, range.stop);
    if (minutes > 0) asked.set(project, (asked.get(project) ?? 0) + minutes);
  }
  return [...asked]
    .sort(([a, most], [b, other]) => other - most || a - b)
    .slice(0, MOST_PROJECTS)
    .map(([project]) => project);
}

/** The first week in which a project fits, where a way was taken; null where it still fits in none. */
export function startWith(model: Model, projectRow: number, { target, help }: SoonerWay, limits: StartLimits): StartWeek | null {
  const changes = helpChanges(model, target, help);
  return firstStart(updateModel(model, applyChanges(model.plan, changes), changes), projectRow, limits);
}
