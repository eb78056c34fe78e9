// The cost of every project: its lines by kind and period, its revenue and margin.

import { periodSettingsOf } from "../calendar/horizon.ts";
import { lineFinder } from "../calendar/lines.ts";
import type { ReportRange } from "../calendar/periods.ts";
import { periodOfDays, periodsIn, type Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { columnOf, type Grouping, groupRows, membersOf, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { known, lookUp } from "../values/lookUp.ts";
import { minorUnits, roundedQuotient } from "../values/units.ts";
import { type CostPeriods, ExactLine } from "./exactLine.ts";
import { addExpense, addFixedCost, taxOf } from "./expense.ts";
import { addLabour, type LabourPricing } from "./labour.ts";
import { addMaterial } from "./material.ts";
import { type CostKind, costKinds } from "./moneyKeys.ts";
import { OvertimeBook } from "./overtime.ts";
import { type MissingRates, type RateBook, rateBookOf } from "./rateBook.ts";
import { addRevenue } from "./revenue.ts";

/** One cost line, in minor units over the range. */
export interface CostLine {
  assignmentId?: string;
  taskId?: string;
  expenseId?: string;
  kind: CostKind;
  project: number;
  total: number;
}

/** The money of one project in minor units: by kind, for each period. */
export interface ProjectCost {
  /** Minor units by period; what a project has nothing of is one list of zeros, shared. */
  byKind: Record<CostKind | "tax" | "revenue", readonly number[]>;
}

/** An assignment, or a task for its implicit opening. */
interface Subject {
  assignmentId?: string;
  taskId?: string;
}

type OwnLine = Omit<CostLine, "project">;

/** Everything that one project costs and earns, by ids: so it holds while rows of other projects come and go. */
export interface ProjectCosts {
  cost: ProjectCost;
  /** Labour and material, fixed costs, expenses. */
  work: OwnLine[];
  fixed: OwnLine[];
  expenses: OwnLine[];
  /** Subjects without a rate, for cost or for revenue; subjects without an exchange rate. */
  missingRates: Subject[];
  missingExchangeRates: Subject[];
}

/** The cost and revenue of a plan in the periods of a range. Sums are calculated at once; lines and missing rates on demand. */
export class Costs {
  readonly #placed: Placed;

  constructor(
    placed: Placed,
    readonly periods: CostPeriods,
    /** By project row; empty of money for a cancelled project. */
    readonly byProject: ProjectCosts[],
  ) {
    this.#placed = placed;
  }

  /** By project row; null for a cancelled project. */
  get projects(): (ProjectCost | null)[] {
    const { projects } = this.#placed.plan;
    return this.byProject.map(({ cost }, project) => (projects[project].stage === "cancelled" ? null : cost));
  }

  get lines(): CostLine[] {
    const { plan } = this.#placed;
    const taskRow = ({ taskId = "" }: OwnLine) => lookUp(rowById(plan.tasks), taskId);
    const expenseRow = ({ expenseId = "" }: OwnLine) => lookUp(rowById(plan.expenses), expenseId);
    return [
      ...inOrder(this.byProject, ({ work }) => work, workRowOf(this.#placed)),
      ...inOrder(this.byProject, ({ fixed }) => fixed, taskRow),
      ...inOrder(this.byProject, ({ expenses }) => expenses, expenseRow),
    ].map(({ own, project }) => ({ project, ...own }));
  }

  /** Ids of assignments, and of tasks with an implicit opening, that have hours or material without a rate, for cost or
   * for revenue. */
  get missingRates(): string[] {
    return this.#subjects(({ missingRates }) => missingRates);
  }

  /** The same of those whose rate has no exchange rate on some day. */
  get missingExchangeRates(): string[] {
    return this.#subjects(({ missingExchangeRates }) => missingExchangeRates);
  }

  #subjects(of: (costs: ProjectCosts) => Subject[]): string[] {
    return inOrder(this.byProject, of, workRowOf(this.#placed)).map(({ own: { assignmentId, taskId } }) =>
      known(assignmentId ?? taskId, "work of a line"),
    );
  }
}

/** One line of money with its amounts by period: of a row of work, a task's fixed cost or an expense. Revenue is one line a
 * project; what each row of work adds to it is the rounded running total with it less that without. */
export interface MoneyLine {
  kind: CostKind | "tax" | "revenue";
  project: number;
  /** Row of work; of a task for a fixed cost; of an expense, also for its tax. −1 for a fee that falls on the finish. */
  row: number;
  /** Minor units by period. */
  amounts: number[];
}

/** Lines of one project that are known, in one window: they are valid as long as all of its rows keep their places. */
interface KnownLines {
  window: string;
  project: number;
  rows: readonly Int32Array[];
  lines: MoneyLine[];
}

/** By the project's cost over the horizon, which is made again when an edit touches it. */
const linesOfProjects = new WeakMap<ProjectCosts, KnownLines>();

/** Every line of money of every project that is not cancelled, in the periods of a range. Of a model that an edit has made,
 * only the projects that it touched are costed again.
 * @param only Row of the one project that is asked about. */
export function moneyLines(
  model: Placed & { costsOfHorizon(): Costs },
  { range, grain }: ReportRange,
  only?: number,
): { lines: MoneyLine[]; periods: readonly Range[] } {
  const { plan, work } = model;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const window = `${range.start} ${range.stop} ${grain} ${periods[0]?.stop}`;
  const groups = groupsOf(plan, work.project);
  let reported: MoneyLine[] = [];
  const costing = new Costing(model, { range, periods, periodOf: periodOfDays(range, periods) }, (line) => reported.push(line));
  const lines = model.costsOfHorizon().byProject.map((costs, project): readonly MoneyLine[] => {
    if (only !== undefined && only !== project) return [];
    const rows = [groups.rows, groups.tasks, groups.expenses].map((group) => membersOf(group, project));
    const known = linesOfProjects.get(costs);
    if (known?.window === window && known.project === project && rows.every((own, at) => isSame(own, known.rows[at]))) return known.lines;
    reported = [];
    costing.costsOfProject(project);
    linesOfProjects.set(costs, { window, project, rows, lines: reported });
    return reported;
  });
  return { lines: lines.flat(), periods };
}

const isSame = (a: Int32Array, b: Int32Array): boolean => a.length === b.length && a.every((row, at) => row === b[at]);

/** Costs every project that is not cancelled over a range, pipeline in full.
 * @param known By project row what is known to be as it was; the others are costed. */
export function costsOf(placed: Placed, { range, grain }: ReportRange, known: readonly (ProjectCosts | undefined)[] = []): Costs {
  const { plan } = placed;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const costing = new Costing(placed, { range, periods, periodOf: periodOfDays(range, periods) });
  const byProject = plan.projects.map((_, project) => known[project] ?? costing.costsOfProject(project));
  return new Costs(placed, costing.periods, byProject);
}

function workRowOf({ plan, work }: Placed): (subject: Subject) => number {
  const [assignments, tasks] = [rowById(plan.assignments), rowById(plan.tasks)];
  return ({ assignmentId, taskId }) =>
    assignmentId === undefined ? work.implicitRow[lookUp(tasks, known(taskId, "task of a line"))] : lookUp(assignments, assignmentId);
}

/** The values of all projects, in the order of their rows in the plan. */
function inOrder<T>(byProject: readonly ProjectCosts[], of: (costs: ProjectCosts) => readonly T[], rowOf: (own: T) => number) {
  return byProject.flatMap((costs, project) => of(costs).map((own) => ({ own, project, row: rowOf(own) }))).sort((a, b) => a.row - b.row);
}

/** Costs projects one by one; what they share is laid out when the first is. */
class Costing {
  #shared: Shared | null = null;
  /** Taken for one row of work after the other: a line of its own for each would be most of the work. */
  readonly #line: ExactLine;
  /** Represents all amounts of a kind that a project has nothing of, until it has. */
  readonly #nothing: readonly number[];

  constructor(
    readonly placed: Placed,
    readonly periods: CostPeriods,
    /** Hears each line by itself. */
    private readonly tell: ((line: MoneyLine) => void) | null = null,
  ) {
    this.#line = new ExactLine(periods);
    this.#nothing = new Array<number>(periods.periods.length).fill(0);
  }

  /** The line with nothing on it. */
  #emptied(): ExactLine {
    this.#line.reset();
    return this.#line;
  }

  /** The sums of a kind of money, to be added to. */
  #sums({ cost: { byKind } }: ProjectCosts, kind: MoneyLine["kind"]): number[] {
    if (byKind[kind] === this.#nothing) byKind[kind] = this.#nothing.slice();
    // Only what is made here is written to.
    return byKind[kind] as number[];
  }

  /** Adds a line's amounts to their sums. @returns Its total over the range. */
  #add(line: ExactLine, costs: ProjectCosts, kind: MoneyLine["kind"], project: number, row: number): number {
    if (!this.tell && line.isEmpty) return 0;
    const into = this.#sums(costs, kind);
    if (!this.tell) return line.addTo(into);
    const amounts = new Array<number>(into.length).fill(0);
    const total = line.addTo(amounts);
    amounts.forEach((amount, period) => {
      into[period] += amount;
    });
    this.tell({ kind, project, row, amounts });
    return total;
  }

  costsOfProject(project: number): ProjectCosts {
    const { plan } = this.placed;
    this.#shared ??= sharedOf(this.placed);
    const costs: ProjectCosts = {
      cost: emptyCost(this.#nothing),
      work: [],
      fixed: [],
      expenses: [],
      missingRates: [],
      missingExchangeRates: [],
    };
    if (plan.projects[project].stage === "cancelled") return costs;
    const { rows, tasks, expenses, book, overtime } = this.#shared;
    const missing = new Map<number, MissingRates>();
    const pricing = { table: book.table(plan.projects[project].costTableId), book, overtime, isPerUseCharged: true };
    for (const row of membersOf(rows, project)) this.#addWork(costs, project, row, pricing, missing);
    for (const row of membersOf(tasks, project)) this.#addFixed(costs, project, row);
    for (const row of membersOf(expenses, project)) this.#addExpense(costs, project, row);
    this.#addRevenue(costs, project, missing);
    for (const [row, { rate, exchange }] of missing) {
      if (rate) costs.missingRates.push(this.#subject(row));
      if (exchange) costs.missingExchangeRates.push(this.#subject(row));
    }
    return costs;
  }

  #addWork(costs: ProjectCosts, project: number, row: number, pricing: LabourPricing, missing: Map<number, MissingRates>): void {
    const { plan, work, placements } = this.placed;
    if (row >= work.assignments && placements.asked[row] === 0) return;
    const line = this.#emptied();
    const isMaterial = work.isMaterial[row] === 1;
    const kind = isMaterial ? "material" : "labour";
    addLacks(
      missing,
      row,
      isMaterial ? addMaterial(this.placed, row, pricing.table, pricing.book, true, line) : addLabour(this.placed, row, pricing, line),
    );
    const total = this.#add(line, costs, kind, project, row);
    costs.work.push(
      row < work.assignments
        ? { assignmentId: plan.assignments[row].id, kind, total }
        : { taskId: plan.tasks[work.task[row]].id, kind, total },
    );
  }

  #addFixed(costs: ProjectCosts, project: number, row: number): void {
    const task = this.placed.plan.tasks[row];
    if (task.fixedCost === undefined) return;
    const line = this.#emptied();
    addFixedCost(task, this.placed.schedule.of(row), line);
    costs.fixed.push({ taskId: task.id, kind: "fixed", total: this.#add(line, costs, "fixed", project, row) });
  }

  #addExpense(costs: ProjectCosts, project: number, row: number): void {
    const { plan, lines } = this.placed;
    const expense = plan.expenses[row];
    const calendar = lineFinder(plan, lines)(plan.projects[project].calendarId);
    addExpense(expense, taxOf(expense), calendar, this.#emptied());
    const tax = this.#add(this.#line, costs, "tax", project, row);
    addExpense(expense, minorUnits(expense.amount), calendar, this.#emptied());
    const total = this.#add(this.#line, costs, "expense", project, row) + (plan.settings.taxInCost ? tax : 0);
    costs.expenses.push({ expenseId: expense.id, kind: "expense", total });
  }

  #addRevenue(costs: ProjectCosts, project: number, missing: Map<number, MissingRates>): void {
    const { rows, book } = known(this.#shared, "rows of a costing");
    const line = this.#emptied();
    let before: number[] = [];
    addRevenue(this.placed, project, membersOf(rows, project), book, line, (row, own) => {
      if (own) addLacks(missing, row, own);
      before = this.#tellRevenue(line, project, row, before);
    });
    if (!line.isEmpty) line.addTo(this.#sums(costs, "revenue"));
  }

  /** Reports what the row that came last adds to a project's revenue. @returns The revenue with it. */
  #tellRevenue(line: ExactLine, project: number, row: number, before: readonly number[]): number[] {
    if (!this.tell) return [];
    const now = new Array<number>(this.periods.periods.length).fill(0);
    line.addTo(now);
    this.tell({ kind: "revenue", project, row, amounts: now.map((amount, period) => amount - (before[period] ?? 0)) });
    return now;
  }

  #subject(row: number): Subject {
    const { plan, work } = this.placed;
    return row < work.assignments ? { assignmentId: plan.assignments[row].id } : { taskId: plan.tasks[work.task[row]].id };
  }
}

/** The input that all projects share: rates, overtime, and the rows of work, tasks and expenses of each. */
interface Shared extends Groups {
  book: RateBook;
  overtime: OvertimeBook;
}

interface Groups {
  rows: Grouping;
  tasks: Grouping;
  expenses: Grouping;
}

const sharedOf = (placed: Placed): Shared => ({
  book: rateBookOf(placed.plan),
  overtime: new OvertimeBook(placed),
  ...groupsOf(placed.plan, placed.work.project),
});

/** Rows of work, tasks and expenses by project. */
function groupsOf(plan: Plan, projectOfWork: Int32Array): Groups {
  return {
    rows: groupedOnce(projectOfWork, plan.projects, () => projectOfWork),
    tasks: groupedOnce(plan.tasks, plan.projects, () => projectsOf(plan, plan.tasks)),
    expenses: groupedOnce(plan.expenses, plan.projects, () => projectsOf(plan, plan.expenses)),
  };
}

function projectsOf({ projects }: Plan, rows: readonly { projectId: string }[]): Int32Array {
  const known = rowById(projects);
  return columnOf(rows, ({ projectId }) => known.get(projectId) ?? -1);
}

const groupings = new WeakMap<object, { grouping: Grouping; projects: Plan["projects"] }>();

/** Rows by project; remembered as long as what they were read from lives, which no edit changes in place. */
function groupedOnce(list: object, projects: Plan["projects"], projectOf: () => Int32Array): Grouping {
  const known = groupings.get(list);
  if (known?.projects === projects) return known.grouping;
  const grouping = groupRows(projectOf(), projects.length);
  groupings.set(list, { grouping, projects });
  return grouping;
}

function addLacks(missing: Map<number, MissingRates>, row: number, { rate, exchange }: MissingRates): void {
  if (!rate && !exchange) return;
  const known = missing.get(row);
  missing.set(row, { rate: rate || known?.rate === true, exchange: exchange || known?.exchange === true });
}

/** The cost of a project in a period, all kinds together; with tax if the settings say so. */
export function totalOf({ settings }: Plan, { byKind }: ProjectCost, period: number): number {
  return costKinds.reduce((sum, kind) => sum + byKind[kind][period], settings.taxInCost ? byKind.tax[period] : 0);
}

/** The revenue and cost of a project over all periods. */
export function moneyOver(plan: Plan, cost: ProjectCost): { revenue: number; cost: number } {
  const sums = { revenue: 0, cost: 0 };
  cost.byKind.revenue.forEach((revenue, period) => {
    sums.revenue += revenue;
    sums.cost += totalOf(plan, cost, period);
  });
  return sums;
}

/** The revenue and cost of all projects that are not cancelled, over all periods. */
export function moneyOfAll(plan: Plan, { projects }: Pick<Costs, "projects">): { revenue: number; cost: number } {
  const sums = { revenue: 0, cost: 0 };
  for (const project of projects) {
    if (!project) continue;
    const own = moneyOver(plan, project);
    sums.revenue += own.revenue;
    sums.cost += own.cost;
  }
  return sums;
}

/** (revenue − cost) / revenue in hundredths of a percent; null without revenue. */
export function marginOf(revenue: number, cost: number): number | null {
  return revenue === 0 ? null : roundedQuotient((revenue - cost) * 10_000, revenue);
}

const emptyCost = (nothing: readonly number[]): ProjectCost => ({
  byKind: { labour: nothing, material: nothing, fixed: nothing, expense: nothing, tax: nothing, revenue: nothing },
});
