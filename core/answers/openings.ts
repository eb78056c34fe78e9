// The openings of a plan by urgency, and who could take one of them, as the screen shows it.
import type { Day } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { marginOf, moneyOver } from "../cost/costs.ts";
import { costOfMinutes } from "../cost/labour.ts";
import { costRole, rateBookOf } from "../cost/rateBook.ts";
import { type Counting, isPipeline } from "../load/counting.ts";
import { needsSomebody, openingIdOf } from "../load/openings.ts";
import type { Model } from "../model.ts";
import { windowOf } from "../placing/window.ts";
import type { Money } from "../plan/moneySides.ts";
import { firstRoleName } from "../plan/names.ts";
import { findRow } from "../plan/rows.ts";
import { type Candidate, candidatesFor, openingRow } from "../staffing/match.ts";
import { needOf } from "../staffing/need.ts";

export interface OpeningRow {
  /** Of the assignment; of the task where it is the rest of its effort. */
  id: string;
  isImplicit: boolean;
  taskId: string;
  taskName: string;
  projectId: string;
  projectName: string;
  projectRow: number;
  isPipeline: boolean;
  isAsked: boolean;
  roleId: string | null;
  roleName: string;
  skills: { skillId: string; name: string; level: number }[];
  minutes: number;
  /** Null where the task has no dates. */
  dates: { start: Day; finish: Day } | null;
  /** 1 … 5, the lower the more urgent: the task's, else its project's. */
  priority: number;
}

/** Openings that count, the most urgent first: by start, then by priority, then by hours. */
export function openingRows(model: Model, counting: Counting): OpeningRow[] {
  const { work } = model;
  const { shares } = model.load(counting);
  const rows: OpeningRow[] = [];
  for (let row = 0; row < work.rows; row++) if (shares[row] >= 0 && needsSomebody(model, row)) rows.push(openingAt(model, row));
  const start = ({ dates }: OpeningRow) => dates?.start ?? Number.POSITIVE_INFINITY;
  return rows.sort((a, b) => start(a) - start(b) || a.priority - b.priority || b.minutes - a.minutes);
}

function openingAt(model: Model, row: number): OpeningRow {
  const { plan, work, placements, schedule } = model;
  const task = plan.tasks[work.task[row]];
  const project = plan.projects[work.project[row]];
  const assignment = row < work.assignments ? plan.assignments[row] : null;
  const role = plan.roles[work.role[row]];
  const dates = schedule.of(work.task[row]);
  const window = dates && windowOf(dates, work, row);
  return {
    id: openingIdOf(model, row),
    isImplicit: assignment === null,
    taskId: task.id,
    taskName: task.name,
    projectId: project.id,
    projectName: project.name,
    projectRow: work.project[row],
    isPipeline: isPipeline(project),
    isAsked: assignment?.firmness === "asked",
    roleId: role?.id ?? null,
    roleName: role?.name ?? "No role",
    skills: (task.skills ?? []).map(({ skillId, level }) => ({ skillId, name: findRow(plan.skills, skillId)?.name ?? skillId, level })),
    minutes: placements.asked[row],
    dates: window && { start: window.start, finish: window.stop - 1 },
    priority: task.priority ?? project.priority ?? 3,
  };
}

export interface CandidateRow {
  personId: string;
  name: string;
  roleName: string;
  cover: number;
  covered: number;
  fit: number;
  cost: Money<"cost">;
  isOnProject: boolean;
  /** The missing role or skill, in words, with the level that the person has. */
  missing: { name: string; level: number | null; has: number }[];
  /** Minutes free in each week of the need. */
  room: number[];
  /** The project's margin if they did all of it; null without revenue. */
  marginAfter: Money<"margin"> | null;
}

export interface Candidates {
  opening: OpeningRow;
  currency: string;
  /** Minutes needed in each week of the work. */
  weeks: Range[];
  need: number[];
  /** The project's margin with the work costed at its role's rate; null without revenue. */
  margin: Money<"margin"> | null;
  /** People with everything that is needed. */
  fitting: CandidateRow[];
  /** The nearest of those who miss something. */
  near: CandidateRow[];
}

const MOST_FITTING = 40;
const MOST_NEAR = 8;

/** The candidates for an opening; null if there is none with this id. */
export function candidatesOf(model: Model, openingId: string): Candidates | null {
  const row = openingRow(model, openingId);
  if (row < 0) return null;
  const need = needOf(model, row);
  const weeks = need.range.stop > need.range.start ? periodsIn(need.range, "week", periodSettingsOf(model.plan)) : [];
  const byWeek = (minutes: Int32Array) =>
    weeks.map(({ start, stop }) => minutes.subarray(start - need.range.start, stop - need.range.start).reduce((sum, own) => sum + own, 0));
  const margins = marginsOf(model, row);
  const all = candidatesFor(model, row);
  const shown = (candidate: Candidate): CandidateRow => candidateRow(model, candidate, byWeek, margins.after);
  return {
    opening: openingAt(model, row),
    currency: model.plan.settings.currency,
    weeks,
    need: byWeek(need.minutes),
    margin: margins.now,
    fitting: all
      .filter(({ missing }) => missing.length === 0)
      .slice(0, MOST_FITTING)
      .map(shown),
    near: all
      .filter(({ missing, covered }) => missing.length > 0 && covered > 0)
      .sort((a, b) => a.missing.length - b.missing.length)
      .slice(0, MOST_NEAR)
      .map(shown),
  };
}

function candidateRow(
  { plan }: Model,
  { person, cover, covered, fit, cost, isOnProject, missing, room }: Candidate,
  byWeek: (minutes: Int32Array) => number[],
  marginAfter: (person: number) => number | null,
): CandidateRow {
  const { id, name, roleIds, skills = [] } = plan.people[person];
  return {
    personId: id,
    name,
    roleName: firstRoleName(plan, { roleIds }) ?? "No role",
    cover,
    covered,
    fit,
    cost,
    isOnProject,
    missing: missing.map((text) => {
      const own = text.slice(text.indexOf(":") + 1);
      if (text.startsWith("role:")) return { name: findRow(plan.roles, own)?.name ?? own, level: null, has: 0 };
      const has = skills.find(({ skillId }) => skillId === own)?.level ?? 0;
      return { name: findRow(plan.skills, own)?.name ?? own, level: has, has };
    }),
    room: byWeek(room),
    marginAfter: marginAfter(person),
  };
}

/** The project's margin now, and with the opening's cost replaced by that of a person who does all of it. */
function marginsOf(model: Model, row: number): { now: number | null; after: (person: number) => number | null } {
  const nothing = { now: null, after: () => null };
  const { plan, work } = model;
  const project = work.project[row];
  const own = moneyOfProjects(model)[project];
  if (!own) return nothing;
  const book = rateBookOf(plan);
  const table = book.table(plan.projects[project].costTableId);
  if (!table || own.revenue === 0) return nothing;
  const need = needOf(model, row);
  const exchange = book.exchange(table);
  const priceOf = (person: number) =>
    costOfMinutes(
      book.labour(table, plan.people[person]?.id, costRole(plan, work.role[row], person)),
      exchange,
      need.range.start,
      need.minutes,
    );
  const open = priceOf(-1);
  return {
    now: marginOf(own.revenue, own.cost),
    after: (person) => marginOf(own.revenue, own.cost - open + priceOf(person)),
  };
}

type ProjectMoney = ({ revenue: number; cost: number } | null)[];

/** Revenue and cost of every project over the horizon. */
function moneyOfProjects(model: Model): ProjectMoney {
  return model.costsOfHorizon().projects.map((own) => own && moneyOver(model.plan, own));
}
