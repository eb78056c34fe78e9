// Planned against spent effort of people, roles and projects.
import type { Model } from "../model.ts";
import { placedIn } from "../placing/placements.ts";
import { UNTRACKED } from "../progress/progress.ts";
import { isFirm } from "../recorded/actuals.ts";
import { CUSTOM, HOURS } from "../work/statement.ts";

export const effortBys = ["person", "role", "project"] as const;
export type EffortBy = (typeof effortBys)[number];

/** Minutes. */
export interface EffortFigures {
  /** As the assignments state it. */
  planned: number;
  /** On days before the status date. */
  spent: number;
  remaining: number;
  /** Spent and remaining, and how much more that is than planned. */
  atCompletion: number;
  more: number;
}

export interface EffortRow extends EffortFigures {
  id: string;
  name: string;
  /** Of a project; −1 otherwise. */
  projectRow: number;
}

export interface Efforts {
  /** In the order of the plan. */
  rows: EffortRow[];
  totals: EffortFigures;
}

/** The effort of everyone, every role or every project in firm projects; openings and teams count for their role and project.
 * @param query `projectId` is the one project that is asked about, null for all. */
export function effortsOf(model: Model, { by, projectId }: { by: EffortBy; projectId: string | null }): Efforts {
  const { plan, work } = model;
  const named = by === "person" ? plan.people : by === "role" ? plan.roles : plan.projects;
  const rowOf = by === "person" ? work.person : by === "role" ? work.role : work.project;
  const isAsked = plan.projects.map((project) => isFirm(project) && (projectId === null || project.id === projectId));
  const sums = named.map(noEffort);
  const totals = noEffort();
  for (let row = 0; row < work.rows; row++) {
    if (work.isMaterial[row] === 1 || !isAsked[work.project[row]]) continue;
    const own = effortOf(model, row);
    add(totals, own);
    if (sums[rowOf[row]]) add(sums[rowOf[row]], own);
  }
  const rows = named.map(({ id, name }, at) => ({ id, name, projectRow: by === "project" ? at : -1, ...sums[at] }));
  return { rows: rows.filter(({ planned, atCompletion }) => planned > 0 || atCompletion > 0), totals };
}

const noEffort = (): EffortFigures => ({ planned: 0, spent: 0, remaining: 0, atCompletion: 0, more: 0 });

function add(into: EffortFigures, own: EffortFigures): void {
  for (const key of ["planned", "spent", "remaining", "atCompletion", "more"] as const) into[key] += own[key];
}

/** Hours recorded without an assignment were not planned; what a rate asks for is planned as it is. */
function effortOf({ work, placements, progress }: Model, row: number): EffortFigures {
  const isTracked = progress.stage[work.task[row]] !== UNTRACKED;
  const asked = placements.asked[row];
  const spent = isTracked ? progress.actual[row] : placedIn(placements, row, 10_000, Number.NEGATIVE_INFINITY, progress.status);
  const isStated = row < work.assignments && (work.way[row] === HOURS || work.way[row] === CUSTOM);
  const planned = row >= work.firstRecorded ? 0 : isStated ? work.amount[row] : asked;
  const remaining = Math.max(0, asked - spent);
  return { planned, spent, remaining, atCompletion: spent + remaining, more: spent + remaining - planned };
}
