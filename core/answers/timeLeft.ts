// Time left: what each person still has to do before a date, on a project or at all, against the hours they have for it.

import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { defaultCounting } from "../load/counting.ts";
import { levelBandOf, type PeriodState, periodState, roomOf } from "../load/periodSums.ts";
import type { Model } from "../model.ts";
import { addPlaced, placedIn } from "../placing/placements.ts";
import { firstRoleName } from "../plan/names.ts";
import { percentDone } from "../plan/percentDone.ts";
import { rowById } from "../plan/rows.ts";
import { UNTRACKED } from "../progress/progress.ts";
import { lookUp } from "../values/lookUp.ts";

/** Minutes of one person; `have` is their capacity before the date, of a project less their work on other ones. */
export interface TimeLeftRow {
  personId: string;
  name: string;
  roleName: string;
  remaining: number;
  have: number;
  state: "trouble" | "fits" | "done" | "helper";
  /** The remaining hours against the capacity. */
  fill: PeriodState;
}

export interface TimeLeft {
  from: Day;
  /** The last day, included. */
  until: Day;
  /** People who are short first, the largest shortage leading; then those with enough time, those who are done, and those who
   * could help. */
  rows: TimeLeftRow[];
}

/** The people on a project, or on all that counts, and those with one of its roles who have room. What is done of a
 * task is no longer to do. Of a project all work counts, whenever it is; of a period what is placed in it, and what
 * could not be. Null where there is no such project. @param projectId Null for all projects. */
export function timeLeftOf(model: Model, projectId: string | null, from: Day, until: Day): TimeLeft | null {
  const { plan, work } = model;
  const project = projectId === null ? ALL : rowById(plan.projects).get(projectId);
  if (project === undefined) return null;
  const { shares } = model.load(defaultCounting);
  const band = levelBandOf(plan);
  const remaining = new Map<number, number>();
  const roles = new Set<number>();
  const range = { start: from, stop: Math.max(from, until + 1) };
  for (let row = 0; row < work.rows; row++) {
    if (work.isMaterial[row] === 1 || (project === ALL ? shares[row] < 0 : work.project[row] !== project)) continue;
    if (project === ALL && askedWithin(model, row, range) === 0) continue;
    const open = leftOf(model, row, project === ALL ? range : null);
    if (work.person[row] >= 0) remaining.set(work.person[row], (remaining.get(work.person[row]) ?? 0) + open);
    if (work.role[row] >= 0 && open > 0) roles.add(work.role[row]);
  }
  const roleRows = rowById(plan.roles);
  const rows = plan.people.flatMap(({ id, name, roleIds }, person): TimeLeftRow[] => {
    const isOn = remaining.has(person);
    if (!isOn && !roleIds.some((role) => roles.has(lookUp(roleRows, role)))) return [];
    const left = remaining.get(person) ?? 0;
    const have = haveOf(model, person, project, shares, range);
    const state = !isOn ? "helper" : left === 0 ? "done" : left > have ? "trouble" : "fits";
    if (state === "helper" && have === 0) return [];
    return [
      {
        personId: id,
        name,
        roleName: firstRoleName(plan, { roleIds }) ?? "",
        remaining: left,
        have,
        state,
        fill: periodState(have, left, band),
      },
    ];
  });
  return { from, until, rows: rows.sort((a, b) => order[a.state] - order[b.state] || spare(a) - spare(b) || a.name.localeCompare(b.name)) };
}

/** Represents all projects among their rows. */
const ALL = -1;

/** Minutes of a row placed in a range, and those that could not be placed in it. */
function askedWithin({ placements }: Model, row: number, { start, stop }: Range): number {
  let minutes = placedIn(placements, row, 10_000, start, stop);
  for (const { day, minutes: lost } of placements.unplacedAt.get(row) ?? []) if (day >= start && day < stop) minutes += lost;
  return minutes;
}

/** Minutes of a row still to do. Where people record their hours these are the ones after the status date; elsewhere the share
 * that the task states as done is taken off. @param range Null for whenever it is. */
function leftOf(model: Model, row: number, range: Range | null): number {
  const { plan, work, placements, progress } = model;
  const task = work.task[row];
  if (progress.stage[task] !== UNTRACKED)
    return range
      ? askedWithin(model, row, { start: Math.max(range.start, progress.status), stop: range.stop })
      : placements.asked[row] - progress.actual[row];
  const asked = range ? askedWithin(model, row, range) : placements.asked[row];
  return Math.round(asked * (1 - percentDone(plan.tasks[task]) / 100));
}

const order = { trouble: 0, fits: 1, done: 2, helper: 3 } as const;
/** The largest shortage comes first; of the helpers, the most time. */
const spare = ({ have, remaining, state }: TimeLeftRow) => (state === "helper" ? -have : have - remaining);

function haveOf(model: Model, person: number, project: number, shares: Int32Array, range: { start: Day; stop: Day }): number {
  const { work, placements } = model;
  const days = range.stop - range.start;
  const { regular, overtime, at: first } = model.capacity.of(person, range.start, range.stop);
  const load = new Int32Array(days);
  for (let at = work.byPerson.first[person]; at < work.byPerson.first[person + 1]; at++) {
    const row = work.byPerson.members[at];
    if (project !== ALL && work.project[row] !== project) addPlaced(placements, row, shares[row], range.start, range.stop, load, 0);
  }
  let have = 0;
  for (let i = 0; i < days; i++) have += roomOf(regular[first + i] + overtime[first + i], load[i]);
  return have;
}
