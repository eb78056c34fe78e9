// Earned value: what projects were to have done and spent by the status date, what they did, and what they will cost.
import { type Day, parseDay } from "../calendar/day.ts";
import { moneyLinesIn } from "../cost/costs.ts";
import { moneySpan } from "../cost/moneySpan.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Baseline } from "../plan/schema.ts";
import { progressReport } from "../reports/progress.ts";
import { SUMMARY } from "../schedule/network.ts";
import { type BaselineName, baselineNames, baselineOr } from "../status/baselines.ts";
import type { DeviationBy } from "../status/deviationBy.ts";
import { isCost } from "../status/taskCosts.ts";
import { lookUp } from "../values/lookUp.ts";

/** A project or task against the baseline. Amounts are minor units, indexes ten-thousandths, null where they would divide by 0. */
export interface EarnedRow {
  id: string;
  name: string;
  /** Of the project that it is or belongs to; −1 of all together. */
  projectRow: number;
  projectId: string;
  /** Of a task: its project, which names of tasks need. */
  projectName: string | null;
  /** A summary of other tasks. */
  isSummary: boolean;
  start: Day | null;
  finish: Day | null;
  /** Hundredths of a percent. */
  percent: number;
  actualCost: Money<"cost">;
  remainingCost: Money<"cost">;
  /** Null where the baseline does not hold it. */
  promised: EarnedFigures | null;
}

export interface EarnedFigures {
  start: Day | null;
  finish: Day | null;
  /** Working days by which it starts and finishes later; null without dates. */
  startDays: number | null;
  finishDays: number | null;
  /** Minutes that were promised, and how many more there are now. */
  minutes: number;
  workMinutes: number;
  /** The budget at completion. */
  cost: Money<"cost">;
  costDifference: Money<"cost">;
  plannedValue: Money<"cost">;
  earnedValue: Money<"cost">;
  scheduleVariance: Money<"cost">;
  costVariance: Money<"cost">;
  atCompletion: Money<"cost">;
  varianceAtCompletion: Money<"cost">;
  atCompletionByIndex: Money<"cost"> | null;
  spi: Money<"cost"> | null;
  cpi: Money<"cost"> | null;
  tcpi: Money<"cost"> | null;
}

export interface Earned {
  currency: string;
  status: Day;
  /** The latest comes first. */
  baselines: BaselineName[];
  /** The one that the rows are compared with. */
  baselineId: string | null;
  /** The projects, phases or tasks that it holds, the largest delay of a finish first. */
  rows: EarnedRow[];
  totals: EarnedRow | null;
}

export interface EarnedQuery {
  /** Null for the latest, which is also compared with where the one of this id was deleted. */
  baselineId: string | null;
  by: DeviationBy;
}

/** Every project, phase or task that a baseline holds against it; a phase is a task at the top of its project. */
export function earnedOf(model: Model, { baselineId, by }: EarnedQuery): Earned {
  const { plan } = model;
  const baseline = baselineOr(plan, baselineId);
  const found = { currency: plan.settings.currency, status: model.progress.status, baselines: baselineNames(plan) };
  if (!baseline) return { ...found, baselineId: null, rows: [], totals: null };
  const { projects, tasks, totals } = progressReport(model, baseline);
  const rows = by === "project" ? projects.map((row) => projectRowOf(model, row)) : tasks.map((row) => taskRowOf(model, row));
  return {
    ...found,
    baselineId: baseline.id,
    rows: rows.filter((row) => row.promised && isListed(model, row, by)).sort(byDelay),
    totals: earnedRow({ ...totals, id: "" }, { id: "", name: "", projectRow: -1, projectId: "", projectName: null, isSummary: false }),
  };
}

function isListed({ plan }: Model, { id, isSummary }: EarnedRow, by: DeviationBy): boolean {
  if (by === "project") return true;
  return by === "task" ? !isSummary : findRow(plan.tasks, id)?.parentId === undefined;
}

function projectRowOf({ plan }: Model, row: ReportRow): EarnedRow {
  const projectRow = lookUp(rowById(plan.projects), row.id);
  const { name } = plan.projects[projectRow];
  return earnedRow(row, { id: row.id, name, projectRow, projectId: row.id, projectName: null, isSummary: false });
}

function taskRowOf({ plan, schedule: { network } }: Model, row: ReportRow): EarnedRow {
  const at = lookUp(rowById(plan.tasks), row.id);
  const { name, projectId } = plan.tasks[at];
  const projectRow = network.project[at];
  const projectName = plan.projects[projectRow].name;
  return earnedRow(row, { id: row.id, name, projectRow, projectId, projectName, isSummary: network.sizing[at] === SUMMARY });
}

/** The tasks of a project against a baseline, the largest delay first; empty where either is gone. */
export function earnedTasks(model: Model, { baselineId, projectId }: { baselineId: string; projectId: string }): EarnedRow[] {
  const baseline = findRow(model.plan.baselines, baselineId);
  if (!baseline) return [];
  const rows = progressReport(model, baseline).tasks.map((row) => taskRowOf(model, row));
  return rows.filter((row) => row.projectId === projectId).sort(byDelay);
}

type ReportRow = ReturnType<typeof progressReport>["projects"][number];

function earnedRow(
  row: ReportRow,
  own: Pick<EarnedRow, "id" | "name" | "projectRow" | "projectId" | "projectName" | "isSummary">,
): EarnedRow {
  const { baseline } = row;
  return {
    ...own,
    start: dayOf(row.start),
    finish: dayOf(row.finish),
    percent: row.percentComplete,
    actualCost: row.actualCost,
    remainingCost: row.remainingCost,
    promised: baseline
      ? {
          ...baseline,
          start: dayOf(baseline.start),
          finish: dayOf(baseline.finish),
          startDays: baseline.startDays ?? null,
          finishDays: baseline.finishDays ?? null,
        }
      : null,
  };
}

const dayOf = (date: string | undefined): Day | null => (date === undefined ? null : parseDay(date));

/** The largest delay of a finish first; of equal ones the largest difference in cost. */
const byDelay = (a: EarnedRow, b: EarnedRow): number =>
  (b.promised?.finishDays ?? 0) - (a.promised?.finishDays ?? 0) || (b.promised?.costDifference ?? 0) - (a.promised?.costDifference ?? 0);

/** A day of the curve of earned value: running totals of the days before it, in minor units. */
export interface EarnedPoint {
  day: Day;
  planned: Money<"cost">;
  /** Up to the status date; null after it. */
  spent: Money<"cost"> | null;
  /** From the status date on; null before it. */
  forecast: Money<"cost"> | null;
}

/** Days on the curve, at most about. */
const MOST_POINTS = 120;

/** Running totals of what a project was to cost by a baseline, and of what it cost and will cost: week by week, and on the status
 * date. Empty where either is gone. */
export function earnedCurve(model: Model, { baselineId, projectId }: { baselineId: string; projectId: string }): EarnedPoint[] {
  const baseline = findRow(model.plan.baselines, baselineId);
  const project = rowById(model.plan.projects).get(projectId);
  if (!baseline || project === undefined) return [];
  const planned = plannedByDay(baseline, projectId);
  const costs = costByDay(model, project);
  const days = [...planned.keys(), ...costs.keys()];
  if (days.length === 0) return [];
  const { status } = model.progress;
  const first = days.reduce((least, day) => Math.min(least, day));
  const last = days.reduce((most, day) => Math.max(most, day)) + 1;
  const step = 7 * Math.ceil((last - first) / 7 / MOST_POINTS);
  const marks = new Set([first, last, status]);
  for (let day = first; day < last; day += step) marks.add(day);
  return [...marks]
    .filter((day) => day >= first && day <= Math.max(last, status))
    .sort((a, b) => a - b)
    .map((day) => {
      const cost = totalBefore(costs, day);
      return { day, planned: totalBefore(planned, day), spent: day <= status ? cost : null, forecast: day >= status ? cost : null };
    });
}

const totalBefore = (sums: ReadonlyMap<Day, number>, day: Day): number => {
  let total = 0;
  for (const [own, minor] of sums) if (own < day) total += minor;
  return total;
};

function put(sums: Map<Day, number>, day: Day, minor: number): void {
  if (minor !== 0) sums.set(day, (sums.get(day) ?? 0) + minor);
}

function plannedByDay(baseline: Baseline, projectId: string): Map<Day, number> {
  const sums = new Map<Day, number>();
  for (const own of baseline.tasks)
    if (own.projectId === projectId) for (const [date, , minor] of own.days) put(sums, parseDay(date), minor);
  for (const own of baseline.projects)
    if (own.projectId === projectId) for (const [date, minor] of own.days) put(sums, parseDay(date), minor);
  return sums;
}

function costByDay(model: Model, project: number): Map<Day, number> {
  const sums = new Map<Day, number>();
  const span = moneySpan(model);
  const days = Array.from({ length: span.stop - span.start }, (_, at) => ({ start: span.start + at, stop: span.start + at + 1 }));
  for (const line of moneyLinesIn(model, span, days, project)) {
    if (line.project !== project || !isCost(model, line)) continue;
    for (const [at, minor] of line.amounts.entries()) put(sums, span.start + at, minor);
  }
  return sums;
}
