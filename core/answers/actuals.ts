// Planned against actual: the promise of a baseline, committed and actual cost, and the cost that remains.
import { type Day, parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { type Grain, periodOfDays, periodsIn, type Range } from "../calendar/periods.ts";
import { type MoneyLine, moneyLinesIn } from "../cost/costs.ts";
import { LedgerKeys, phasesOf } from "../cost/ledger.ts";
import { type LineDetails, lineDetails } from "../cost/lineDetails.ts";
import { NONE } from "../cost/moneyKeys.ts";
import { moneySpan } from "../cost/moneySpan.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Baseline, Plan } from "../plan/schema.ts";
import { isFirm, isTracked } from "../recorded/actuals.ts";
import { type BaselineName, baselineNames, baselineOr } from "../status/baselines.ts";
import { isCost } from "../status/taskCosts.ts";
import { onceFor } from "../values/once.ts";
import { minorUnits } from "../values/units.ts";

/** The keys that amounts are added up by: subjects, and fiscal periods. */
export const actualBys = ["project", "phase", "kind", "supplier", "month", "quarter", "year"] as const;
export type ActualBy = (typeof actualBys)[number];

/** The way of adding up that a text names; by project where it names none. */
export const actualByOf = (text: string | null): ActualBy => actualBys.find((by) => by === text) ?? "project";

export interface ActualsQuery {
  by: ActualBy;
  /** The one project that is asked about; null for all. */
  projectId: string | null;
  /** Null for the latest, which is also compared with where the one of this id was deleted. */
  baselineId: string | null;
}

/** Amounts in minor units. */
export interface ActualFigures {
  /** The promise of the baseline; null where there is none, and by kind and supplier, which baselines do not keep. */
  planned: Money<"cost"> | null;
  /** Of what remains, expenses that are ordered. */
  committed: Money<"cost">;
  /** On days before the status date. */
  actual: Money<"cost">;
  remaining: Money<"cost">;
  /** Actual and remaining. */
  atCompletion: Money<"cost">;
  /** The rest of the promise at completion: below 0 where it costs more. */
  variance: Money<"cost"> | null;
}

export interface ActualRow extends ActualFigures {
  /** An id, a word, the first day of a period, or `none:`. */
  key: string;
  name: string | null;
  /** Of a project or phase; −1 otherwise. */
  projectRow: number;
  /** The period; null where rows are none. */
  period: Range | null;
}

export interface Actuals {
  currency: string;
  status: Day;
  baselines: BaselineName[];
  baselineId: string | null;
  rows: ActualRow[];
  totals: ActualFigures;
}

/** The periods that rows are; null where they are something else. */
export const grainOf = (by: ActualBy): Grain | null => (by === "month" || by === "quarter" || by === "year" ? by : null);

/** Firm projects and those that the baseline holds, added up as asked; periods are fiscal. */
export function actualsOf(model: Model, query: ActualsQuery): Actuals {
  const { plan, progress } = model;
  const baseline = baselineOr(plan, query.baselineId);
  const sums = new Sums();
  for (const { line, period, isPast, amount } of piecesOf(model, query, baseline)) {
    const key = keyOf(model, query.by, line, period);
    const row = sums.of(key);
    if (isPast) row.actual += amount;
    else row.remaining += amount;
    if (!isPast && isOrdered(plan, line)) row.committed += amount;
  }
  if (baseline && isPromised(query.by)) addPromises(model, query, baseline, sums);
  const hasPromise = baseline !== null && isPromised(query.by);
  const rows = [...sums.rows].map(([key, own]): ActualRow => ({ ...named(plan, query.by, key), ...finished(own, hasPromise) }));
  return {
    currency: plan.settings.currency,
    status: progress.status,
    baselines: baselineNames(plan),
    baselineId: baseline?.id ?? null,
    rows: inOrder(rows.filter(hasAmount), query.by),
    totals: finished([...sums.rows.values()].reduce(added, noAmounts()), hasPromise),
  };
}

interface Amounts {
  planned: number;
  committed: number;
  actual: number;
  remaining: number;
}

const noAmounts = (): Amounts => ({ planned: 0, committed: 0, actual: 0, remaining: 0 });

const added = (a: Amounts, b: Amounts): Amounts => ({
  planned: a.planned + b.planned,
  committed: a.committed + b.committed,
  actual: a.actual + b.actual,
  remaining: a.remaining + b.remaining,
});

function finished({ planned, committed, actual, remaining }: Amounts, hasPromise: boolean): ActualFigures {
  const atCompletion = actual + remaining;
  return {
    planned: hasPromise ? planned : null,
    committed,
    actual,
    remaining,
    atCompletion,
    variance: hasPromise ? planned - atCompletion : null,
  };
}

class Sums {
  readonly rows = new Map<string, Amounts>();

  of(key: string): Amounts {
    const row = this.rows.get(key) ?? noAmounts();
    this.rows.set(key, row);
    return row;
  }
}

const hasAmount = ({ planned, actual, remaining }: ActualRow): boolean => (planned ?? 0) !== 0 || actual !== 0 || remaining !== 0;

/** Periods in time, others as they come in the plan with the largest of kinds and suppliers first. */
function inOrder(rows: ActualRow[], by: ActualBy): ActualRow[] {
  if (grainOf(by)) return rows.sort((a, b) => (a.period?.start ?? 0) - (b.period?.start ?? 0));
  return by === "kind" || by === "supplier" ? rows.sort((a, b) => b.atCompletion - a.atCompletion) : rows;
}

/** Baselines keep tasks and days, and so phases and periods; not kinds of cost. */
const isPromised = (by: ActualBy): boolean => by !== "kind" && by !== "supplier";

/** True of the project rows that a query is about. */
function isAsked({ plan }: Model, { projectId }: ActualsQuery, baseline: Baseline | null): (row: number) => boolean {
  const held = new Set(baseline?.projects.map((own) => own.projectId));
  const asked = plan.projects.map(
    (own) => (projectId === null || own.id === projectId) && (isFirm(own) || (own.stage !== "cancelled" && held.has(own.id))),
  );
  return (row) => asked[row] ?? false;
}

/** Part of a line of cost that falls in one period, before the status date or from it on. */
interface Piece {
  line: MoneyLine;
  period: Range;
  isPast: boolean;
  amount: number;
}

function* piecesOf(model: Model, query: ActualsQuery, baseline: Baseline | null): Generator<Piece> {
  const span = spanOf(model, baseline);
  const parts = partsOf(model, span, query.by);
  const isWanted = isAsked(model, query, baseline);
  const ranges = parts.map(({ range }) => range);
  for (const line of moneyLinesIn(model, span, ranges)) {
    if (!isWanted(line.project) || !isCost(model, line)) continue;
    for (const [at, { period, isPast }] of parts.entries())
      if (line.amounts[at] !== 0) yield { line, period, isPast, amount: line.amounts[at] };
  }
}

/** The days on which the plan has money now, or a baseline promised some. */
function spanOf(model: Model, baseline: Baseline | null): Range {
  const span = { ...moneySpan(model) };
  for (const { days } of [...(baseline?.tasks ?? []), ...(baseline?.projects ?? [])]) {
    if (days.length === 0) continue;
    span.start = Math.min(span.start, parseDay(days[0][0]));
    span.stop = Math.max(span.stop, parseDay(days[days.length - 1][0]) + 1);
  }
  return span;
}

/** The periods of a span; the whole of it where rows are none. */
function periodsOf({ plan }: Model, span: Range, by: ActualBy): readonly Range[] {
  const grain = grainOf(by);
  return grain ? periodsIn(span, grain, periodSettingsOf(plan)) : [span];
}

/** The periods of a span, cut in two at the status date. */
function partsOf(model: Model, span: Range, by: ActualBy): { range: Range; period: Range; isPast: boolean }[] {
  const { status } = model.progress;
  return periodsOf(model, span, by).flatMap((period) => {
    const past = { range: { start: period.start, stop: Math.min(period.stop, status) }, period, isPast: true };
    const ahead = { range: { start: Math.max(period.start, status), stop: period.stop }, period, isPast: false };
    return [past, ahead].filter(({ range }) => range.stop > range.start);
  });
}

function keyOf(model: Model, by: ActualBy, line: MoneyLine, period: Range): string {
  return by === "month" || by === "quarter" || by === "year" ? periodKey(period) : keysOf(model).of(line, by);
}

const periodKey = ({ start, stop }: Range): string => `${start} ${stop}`;

const keysOf = onceFor((model: Model) => new LedgerKeys(model));

/** True of an expense, or its tax, that is ordered and not paid yet. */
const isOrdered = ({ expenses }: Plan, { kind, row, booking }: MoneyLine): boolean =>
  (kind === "expense" || kind === "tax") && booking === undefined && expenses[row]?.state === "committed";

/** Adds the promises of a baseline: a day's cost to the row of its period, or of its phase or project. */
function addPromises(model: Model, query: ActualsQuery, baseline: Baseline, sums: Sums): void {
  const { plan } = model;
  const projects = rowById(plan.projects);
  const isWanted = isAsked(model, query, baseline);
  const span = spanOf(model, baseline);
  const periods = periodsOf(model, span, query.by);
  const keys = grainOf(query.by) ? periods.map(periodKey) : null;
  const periodOf = periodOfDays(span, periods);
  const phaseOf = query.by === "phase" ? phaseKeys(plan) : null;
  const add = (projectId: string, taskId: string | null, date: string, minor: number) => {
    if (!isWanted(projects.get(projectId) ?? -1)) return;
    const key = keys ? keys[periodOf[parseDay(date) - span.start]] : phaseOf ? phaseOf(taskId) : projectId;
    sums.of(key).planned += minor;
  };
  for (const { taskId, projectId, days } of baseline.tasks) for (const [date, , minor] of days) add(projectId, taskId, date, minor);
  for (const { projectId, days } of baseline.projects) for (const [date, minor] of days) add(projectId, null, date, minor);
}

/** The key of a task's phase; of a task that is gone, and of none, that of expenses without a phase. */
function phaseKeys(plan: Plan): (taskId: string | null) => string {
  const [rows, phases] = [rowById(plan.tasks), phasesOf(plan)];
  return (taskId) => plan.tasks[phases[rows.get(taskId ?? "") ?? -1] ?? -1]?.id ?? `${NONE}expense`;
}

function named(plan: Plan, by: ActualBy, key: string): Pick<ActualRow, "key" | "name" | "projectRow" | "period"> {
  if (grainOf(by)) {
    const [start, stop] = key.split(" ").map(Number);
    return { key, name: null, projectRow: -1, period: { start, stop } };
  }
  const task = by === "phase" ? findRow(plan.tasks, key) : undefined;
  const project = findRow(plan.projects, by === "project" ? key : task?.projectId);
  const projectRow = project ? (rowById(plan.projects).get(project.id) ?? -1) : -1;
  const name = by === "supplier" && !key.startsWith(NONE) ? key : ((by === "project" ? project?.name : task?.name) ?? null);
  return { key, name, projectRow, period: null };
}

export interface ActualLine extends LineDetails {
  actual: Money<"cost">;
  remaining: Money<"cost">;
  isCommitted: boolean;
  /** Recorded minutes by day, of tracked work in the period. */
  entries: { day: Day; minutes: number }[];
  /** The bookings of an expense, in the period. */
  bookings: { id: string; day: Day; amount: Money<"cost">; reference: string | null }[];
}

/** The lines behind a row, the largest first, each with its recorded hours and its bookings. */
export function actualLinesOf(model: Model, query: ActualsQuery & { key: string }): ActualLine[] {
  const { plan } = model;
  const lines = new Map<MoneyLine, ActualLine>();
  for (const { line, period, isPast, amount } of piecesOf(model, query, baselineOr(plan, query.baselineId))) {
    if (keyOf(model, query.by, line, period) !== query.key) continue;
    const known = lines.get(line) ?? {
      ...lineDetails(model, line),
      actual: 0,
      remaining: 0,
      isCommitted: isOrdered(plan, line),
      entries: entriesOf(model, line, period),
      bookings: bookingsOf(plan, line, period),
    };
    if (isPast) known.actual += amount;
    else known.remaining += amount;
    lines.set(line, known);
  }
  return [...lines.values()].sort((a, b) => Math.abs(b.actual + b.remaining) - Math.abs(a.actual + a.remaining));
}

function entriesOf({ progress }: Model, { kind, row }: MoneyLine, { start, stop }: Range): ActualLine["entries"] {
  const line = kind === "labour" ? progress.lines.get(row) : undefined;
  if (!line) return [];
  return Array.from(line.days, (day, at) => ({ day, minutes: line.minutes[at] })).filter(({ day }) => day >= start && day < stop);
}

function bookingsOf(plan: Plan, { kind, row, project, booking }: MoneyLine, { start, stop }: Range): ActualLine["bookings"] {
  const { expenses, actualCosts, projects } = plan;
  const expenseId = kind === "expense" && booking === undefined ? expenses[row]?.id : undefined;
  if (expenseId === undefined || !isTracked(projects[project])) return [];
  return actualCosts
    .filter((own) => own.expenseId === expenseId)
    .map(({ id, date, amount, reference = null }) => ({ id, day: parseDay(date), amount: minorUnits(amount), reference }))
    .filter(({ day }) => day >= start && day < stop);
}
