// The cost and revenue of the plan, grouped by any key; rows and columns add up to the minor unit.

import { horizonOf, wholePeriods } from "../calendar/horizon.ts";
import type { Range } from "../calendar/periods.ts";
import { moneyOver } from "../cost/costs.ts";
import { countedMoney, isCounted } from "../cost/countedMoney.ts";
import { type Ledger, ledgerOf } from "../cost/ledger.ts";
import { type MoneyGaps, moneyGaps } from "../cost/moneyGaps.ts";
import { costKinds, type MoneyBy, NONE } from "../cost/moneyKeys.ts";
import { linesOf, type MoneyPlace, type MoneyQuery } from "../cost/moneyQuery.ts";
import { runningTotal } from "../cost/runningTotal.ts";
import type { Model } from "../model.ts";
import type { ListName } from "../plan/lists.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { minorUnits } from "../values/units.ts";

/** Minor units of the side that the query's measure is of. */
type Amount = Money;

export interface MoneyRow {
  /** An id, a word, or `none:` alone or with the kind of line. */
  key: string;
  /** Null where nothing in the plan names it. */
  name: string | null;
  /** The text next to the name: a project's code, a task's project. */
  side: string;
  /** Row of the project that it is or belongs to, for its colour; −1 for none. */
  projectRow: number;
  stage: string | null;
  /** Minor units by period. */
  periods: Amount[];
  /** Their sum; of what is left of a budget, what is left at the end. */
  total: Amount;
}

export interface MoneyAnswer extends MoneyGaps {
  currency: string;
  /** Whole periods that the window touches. */
  periods: Range[];
  rows: MoneyRow[];
  /** Sums of the columns, and of everything. */
  totals: Amount[];
  total: Amount;
  /** The filters by name; null if nothing in the plan has that name. */
  places: (MoneyPlace & { name: string | null })[];
  /** Minor units of cost before the first period. */
  before: Money<"cost">;
  /** Null where none of the projects has one, and where only a part of a project is asked for. */
  budget: BudgetRun | null;
}

/** The budgets of projects against the cost of these same projects, in minor units. */
export interface BudgetRun {
  budget: Money<"cost">;
  /** Cost before the first period, and at the end of each. */
  before: Money<"cost">;
  running: Money<"cost">[];
  /** Projects that have a budget, out of those that count. */
  projects: number;
  of: number;
}

/** Money of every project that is not cancelled, in whole periods around a window. */
export function moneyOf(model: Model, query: MoneyQuery): MoneyAnswer {
  const { plan } = model;
  const asked = wholePeriods(plan, query);
  const ledger = ledgerOf(model, asked);
  const sums = new Map<string, number[]>(seeds(model, query).map((key) => [key, emptyRow(ledger)]));
  for (const { line, sign } of linesOf(model, ledger, query)) {
    const key = ledger.keyOf(line, query.by);
    const row = sums.get(key) ?? emptyRow(ledger);
    line.amounts.forEach((amount, period) => {
      row[period] += sign * amount;
    });
    sums.set(key, row);
  }
  const isLeft = query.measure === "left";
  const starts = isLeft ? budgetsBefore(model, ledger, query, asked.range.start) : null;
  const rows = [...sums].map(([key, periods]): MoneyRow => {
    if (starts) runDown(periods, starts.get(key) ?? 0);
    return { ...namesOf(model, query.by, key), key, periods, total: isLeft ? (periods.at(-1) ?? 0) : sum(periods) };
  });
  const kept = inOrder(plan, query.by, rows);
  const totals = ledger.periods.map((_, p) => sum(kept.map(({ periods }) => periods[p])));
  // Missing rates do not depend on the window.
  const gaps = moneyGaps(
    model.costsOfHorizon(),
    (row) =>
      isCounted(plan.projects[row], query.pipeline) &&
      query.within.every(({ by, key }) => !ofWholeProjects.has(by) || keyOfProject(plan.projects[row], by) === key),
  );
  return {
    currency: plan.settings.currency,
    periods: [...ledger.periods],
    rows: kept,
    totals,
    total: isLeft ? (totals.at(-1) ?? 0) : sum(totals),
    places: query.within.map((place) => ({ ...place, name: namesOf(model, place.by, place.key).name })),
    ...budgetOf(model, ledger, query, asked.range.start),
    ...gaps,
  };
}

/** Projects that are in the table whether they have money or not. */
function seeds({ plan }: Model, { by, measure, within, pipeline }: MoneyQuery): string[] {
  if (by !== "project") return [];
  return plan.projects.flatMap((project) => {
    if (project.archived || !isCounted(project, pipeline)) return [];
    if (measure === "left" && project.budget === undefined) return [];
    const isWithin = within.every(({ by: own, key }) => keyOfProject(project, own) === key);
    return isWithin ? [project.id] : [];
  });
}

/** The keys that select or exclude a project as a whole. */
const ofWholeProjects: ReadonlySet<MoneyBy> = new Set(["project", "client", "category"]);

/** The key of a project as a whole; null if only its lines have one. */
function keyOfProject(project: Plan["projects"][number], by: MoneyBy): string | null {
  if (by === "project") return project.id;
  if (by === "client") return project.clientId ?? NONE;
  return by === "category" ? (project.category ?? NONE) : null;
}

/** The cost of each project before a day, all kinds together; null if that day is the first of the plan. */
function spentBefore(model: Model, start: number): ((project: number) => number) | null {
  const { plan } = model;
  const first = horizonOf(plan).start;
  if (first >= start) return null;
  const { projects } = model.costs({ range: { start: first, stop: start }, grain: "year" });
  return (project) => {
    const cost = projects[project];
    return cost ? moneyOver(plan, cost).cost : 0;
  };
}

/** The remaining budgets under each key when the window starts. */
function budgetsBefore(model: Model, ledger: Ledger, { by, pipeline }: MoneyQuery, start: number): Map<string, number> {
  const spent = spentBefore(model, start);
  const left = new Map<string, number>();
  model.plan.projects.forEach((project, row) => {
    if (project.budget === undefined || !isCounted(project, pipeline)) return;
    const key = ledger.keyOf({ kind: "labour", project: row, row: -1, amounts: [] }, by);
    const own = countedMoney(project, pipeline, minorUnits(project.budget)) - countedMoney(project, pipeline, spent?.(row) ?? 0);
    left.set(key, (left.get(key) ?? 0) + own);
  });
  return left;
}

/** The earlier cost of the selected projects, and their budgets against the cost of those that have one; no budget if only a part
 * of a project is selected. */
function budgetOf(model: Model, ledger: Ledger, query: MoneyQuery, start: number): Pick<MoneyAnswer, "before" | "budget"> {
  const { kind, within, pipeline } = query;
  if (kind !== "all" || within.some(({ by }) => !ofWholeProjects.has(by))) return { before: 0, budget: null };
  const { projects } = model.plan;
  const spent = spentBefore(model, start);
  const reported: BudgetRun = { budget: 0, before: 0, running: emptyRow(ledger), projects: 0, of: 0 };
  let before = 0;
  projects.forEach((project, row) => {
    if (!isCounted(project, pipeline) || within.some(({ by, key }) => keyOfProject(project, by) !== key)) return;
    const own = countedMoney(project, pipeline, spent?.(row) ?? 0);
    before += own;
    reported.of++;
    if (project.budget === undefined) return;
    reported.projects++;
    reported.before += own;
    reported.budget += countedMoney(project, pipeline, minorUnits(project.budget));
  });
  if (reported.projects === 0) return { before, budget: null };
  for (const { line } of linesOf(model, ledger, { ...query, measure: "cost" }))
    if (projects[line.project].budget !== undefined)
      line.amounts.forEach((amount, period) => {
        reported.running[period] += amount;
      });
  reported.running = runningTotal(reported.running, reported.before);
  return { before, budget: reported };
}

/** Turns what is taken in each period, which is negative, into what is left at its end. */
function runDown(periods: number[], start: number): void {
  let left = start;
  periods.forEach((amount, period) => {
    left += amount;
    periods[period] = left;
  });
}

function namesOf({ plan }: Model, by: MoneyBy, key: string): Pick<MoneyRow, "name" | "side" | "projectRow" | "stage"> {
  const plain = { side: "", projectRow: -1, stage: null };
  if (key.startsWith(NONE)) return { ...plain, name: null };
  const projects = rowById(plan.projects);
  switch (by) {
    case "project": {
      const projectRow = projects.get(key) ?? -1;
      const project = plan.projects[projectRow];
      return { name: project?.name ?? null, side: project?.code ?? "", projectRow, stage: project?.stage ?? null };
    }
    case "phase":
    case "task": {
      const task = findRow(plan.tasks, key);
      const projectRow = projects.get(task?.projectId ?? "") ?? -1;
      return { ...plain, name: task?.name ?? null, side: plan.projects[projectRow]?.name ?? "", projectRow };
    }
    case "client":
      return { ...plain, name: findRow(plan.clients, key)?.name ?? null };
    case "person":
      return { ...plain, name: findRow(plan.people, key)?.name ?? null };
    case "role":
      return { ...plain, name: findRow(plan.roles, key)?.name ?? null };
    case "category":
    case "supplier":
      return { ...plain, name: key };
    default:
      return { ...plain, name: null };
  }
}

const lists: Partial<Record<MoneyBy, ListName>> = {
  project: "projects",
  client: "clients",
  phase: "tasks",
  task: "tasks",
  person: "people",
  role: "roles",
};

/** In plan order; words by the alphabet; what nothing names last. Rows without any money are left out, except for projects. */
function inOrder(plan: Plan, by: MoneyBy, rows: readonly MoneyRow[]): MoneyRow[] {
  const list = lists[by];
  const places = list ? rowById(plan[list]) : null;
  const kinds: readonly string[] = [...costKinds, "tax", "revenue"];
  const placeOf = ({ key }: MoneyRow) =>
    key.startsWith(NONE) ? 1e9 + kinds.indexOf(key.slice(NONE.length)) : (places?.get(key) ?? kinds.indexOf(key));
  return rows
    .filter(({ periods }) => by === "project" || periods.some((amount) => amount !== 0))
    .sort((a, b) => placeOf(a) - placeOf(b) || (a.key < b.key ? -1 : 1));
}

const emptyRow = ({ periods }: Ledger): number[] => new Array<number>(periods.length).fill(0);

const sum = (amounts: readonly number[]): number => amounts.reduce((total, amount) => total + amount, 0);
