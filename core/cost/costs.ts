// The cost of every project: its lines by kind and period, its revenue and margin.

import { parseDay } from "../calendar/day.ts";
import { periodSettingsOf } from "../calendar/horizon.ts";
import { lineFinder } from "../calendar/lines.ts";
import type { ReportRange } from "../calendar/periods.ts";
import { periodOfDays, periodsIn, type Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { workedDays } from "../placing/placements.ts";
import { columnOf, type Grouping, groupRows, membersOf, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { isTracked } from "../recorded/actuals.ts";
import { known, lookUp } from "../values/lookUp.ts";
import { minorUnits, roundedQuotient } from "../values/units.ts";
import { type CostPeriods, ExactLine } from "./exactLine.ts";
import { addFixedCost, addOverDays, expenseCost, taxOf } from "./expense.ts";
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
  actualCostId?: string;
  /** Of unplanned work: the person who did it. */
  personId?: string;
  kind: CostKind;
  project: number;
  total: number;
}

/** The money of one project in minor units: by kind, for each period. */
export interface ProjectCost {
  /** Minor units by period; what a project has nothing of is one list of zeros, shared. */
  byKind: Record<CostKind | "tax" | "revenue", readonly number[]>;
}

/** An assignment, or a task for its implicit opening or for unplanned work on it. */
interface Subject {
  assignmentId?: string;
  taskId?: string;
  personId?: string;
}

type OwnLine = Omit<CostLine, "project">;

/** Everything that one project costs and earns, by ids: so it holds while rows of other projects come and go. */
export interface ProjectCosts {
  cost: ProjectCost;
  /** Labour and material, fixed costs, expenses with what was booked for them. */
  work: OwnLine[];
  fixed: OwnLine[];
  expenses: OwnLine[];
  /** Booked amounts that belong to no expense. */
  bookings: OwnLine[];
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
    const bookingRow = ({ actualCostId = "" }: OwnLine) => lookUp(rowById(plan.actualCosts), actualCostId);
    return [
      ...inOrder(this.byProject, ({ work }) => work, workRowOf(this.#placed)),
      ...inOrder(this.byProject, ({ fixed }) => fixed, taskRow),
      ...inOrder(this.byProject, ({ expenses }) => expenses, expenseRow),
      ...inOrder(this.byProject, ({ bookings }) => bookings, bookingRow),
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
  /** Row of work; of a task for a fixed cost; of an expense, also for its tax. −1 for a fee that falls on the finish, and for a
   * booking that belongs to no expense. */
  row: number;
  /** Row of such a booking. */
  booking?: number;
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
  const periods = periodsIn(range, grain, periodSettingsOf(model.plan));
  return { lines: moneyLinesIn(model, range, periods, only), periods };
}

/** The same in periods that together are the range. */
export function moneyLinesIn(
  model: Placed & { costsOfHorizon(): Costs },
  range: Range,
  periods: readonly Range[],
  only?: number,
): MoneyLine[] {
  const { plan, work } = model;
  const window = `${range.start} ${periods.map(({ stop }) => stop).join(" ")}`;
  const groups = groupsOf(plan, work.project);
  let reported: MoneyLine[] = [];
  const costing = new Costing(model, { range, periods, periodOf: periodOfDays(range, periods) }, (line) => reported.push(line));
  const lines = model.costsOfHorizon().byProject.map((costs, project): readonly MoneyLine[] => {
    if (only !== undefined && only !== project) return [];
    const rows = [groups.rows, groups.tasks, groups.expenses, groups.bookings].map((group) => membersOf(group, project));
    const known = linesOfProjects.get(costs);
    if (known?.window === window && known.project === project && rows.every((own, at) => isSame(own, known.rows[at]))) return known.lines;
    reported = [];
    costing.costsOfProject(project);
    linesOfProjects.set(costs, { window, project, rows, lines: reported });
    return reported;
  });
  return lines.flat();
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
  const [assignments, tasks, people] = [rowById(plan.assignments), rowById(plan.tasks), rowById(plan.people)];
  const unplannedRow = (task: number, person: number) => {
    for (let row = work.firstRecorded; row < work.rows; row++)
      if (work.partOf[row] < 0 && work.task[row] === task && work.person[row] === person) return row;
    return -1;
  };
  return ({ assignmentId, taskId, personId }) => {
    if (assignmentId !== undefined) return lookUp(assignments, assignmentId);
    const task = lookUp(tasks, known(taskId, "task of a line"));
    return personId === undefined ? work.implicitRow[task] : unplannedRow(task, lookUp(people, personId));
  };
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
  #add(line: ExactLine, costs: ProjectCosts, kind: MoneyLine["kind"], project: number, row: number, booking?: number): number {
    if (!this.tell && line.isEmpty) return 0;
    const into = this.#sums(costs, kind);
    if (!this.tell) return line.addTo(into);
    const amounts = new Array<number>(into.length).fill(0);
    const total = line.addTo(amounts);
    amounts.forEach((amount, period) => {
      into[period] += amount;
    });
    this.tell({ kind, project, row, ...(booking !== undefined && { booking }), amounts });
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
      bookings: [],
      missingRates: [],
      missingExchangeRates: [],
    };
    if (plan.projects[project].stage === "cancelled") return costs;
    const { rows, tasks, expenses, bookings, book, overtime } = this.#shared;
    const missing = new Map<number, MissingRates>();
    const pricing = { table: book.table(plan.projects[project].costTableId), book, overtime, isPerUseCharged: true };
    for (const row of membersOf(rows, project)) this.#addWork(costs, project, row, pricing, missing);
    for (const row of membersOf(tasks, project)) this.#addFixed(costs, project, row);
    for (const row of membersOf(expenses, project)) this.#addExpense(costs, project, row);
    for (const row of membersOf(bookings, project)) this.#addBooking(costs, project, row);
    this.#addRevenue(costs, project, missing);
    for (const [row, { rate, exchange }] of missing) {
      if (rate) costs.missingRates.push(this.#subject(row));
      if (exchange) costs.missingExchangeRates.push(this.#subject(row));
    }
    return costs;
  }

  #addWork(costs: ProjectCosts, project: number, row: number, pricing: LabourPricing, missing: Map<number, MissingRates>): void {
    const { work, placements } = this.placed;
    // Recorded hours of a team's members are costed with the team's assignment.
    if (work.partOf[row] >= 0 || (row >= work.assignments && placements.asked[row] === 0)) return;
    if (work.isMaterial[row] === 1) {
      const line = this.#emptied();
      addLacks(missing, row, addMaterial(this.placed, row, pricing.table, pricing.book, true, line));
      costs.work.push({ ...this.#subject(row), kind: "material", total: this.#add(line, costs, "material", project, row) });
      return;
    }
    const parts = known(this.#shared, "rows of a costing").parts.get(row);
    const total = parts
      ? this.#addTeam(costs, project, row, parts, pricing, missing)
      : this.#addLabour(costs, project, row, pricing, missing);
    costs.work.push({ ...this.#subject(row), kind: "labour", total });
  }

  #addLabour(costs: ProjectCosts, project: number, row: number, pricing: LabourPricing, missing: Map<number, MissingRates>): number {
    const line = this.#emptied();
    addLacks(missing, row, addLabour(this.placed, row, pricing, line));
    return this.#add(line, costs, "labour", project, row);
  }

  /** The labour of a team's assignment with the recorded hours of its members: one line, exact until it is read. */
  #addTeam(
    costs: ProjectCosts,
    project: number,
    row: number,
    parts: readonly number[],
    pricing: LabourPricing,
    missing: Map<number, MissingRates>,
  ): number {
    const line = this.#emptied();
    const rows = [...parts, row];
    const firstDay = (own: number) => {
      const { start, stop } = workedDays(this.placed.placements, own);
      return start < stop ? start : Number.POSITIVE_INFINITY;
    };
    const charged = rows.reduce((first, own) => (firstDay(own) < firstDay(first) ? own : first));
    let before: readonly number[] = [];
    for (const own of rows) {
      addLacks(missing, row, addLabour(this.placed, own, { ...pricing, isPerUseCharged: own === charged }, line));
      before = this.#tellGrowth("labour", line, project, own, before);
    }
    return line.isEmpty ? 0 : line.addTo(this.#sums(costs, "labour"));
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
    const { rest, days, booked } = expenseCost(this.placed, expense, calendar);
    addOverDays(taxOf(expense, rest), days, this.#emptied());
    const tax = this.#add(this.#line, costs, "tax", project, row);
    addOverDays(rest, days, this.#emptied());
    for (const { day, minor } of booked) this.#line.add(this.#line.slotOf(day), BigInt(minor), 1n);
    const total = this.#add(this.#line, costs, "expense", project, row) + (plan.settings.taxInCost ? tax : 0);
    costs.expenses.push({ expenseId: expense.id, kind: "expense", total });
  }

  /** A booking of no expense costs on its day; in a project that is not tracked nothing. */
  #addBooking(costs: ProjectCosts, project: number, row: number): void {
    const { plan } = this.placed;
    const { id, date, amount, expenseId } = plan.actualCosts[row];
    if (expenseId !== undefined) return;
    const line = this.#emptied();
    if (isTracked(plan.projects[project])) line.add(line.slotOf(parseDay(date)), BigInt(minorUnits(amount)), 1n);
    costs.bookings.push({ actualCostId: id, kind: "expense", total: this.#add(line, costs, "expense", project, -1, row) });
  }

  #addRevenue(costs: ProjectCosts, project: number, missing: Map<number, MissingRates>): void {
    const { rows, book } = known(this.#shared, "rows of a costing");
    const line = this.#emptied();
    let before: number[] = [];
    addRevenue(this.placed, project, membersOf(rows, project), book, line, (row, own) => {
      if (own) addLacks(missing, row, own);
      before = this.#tellGrowth("revenue", line, project, row, before);
    });
    if (!line.isEmpty) line.addTo(this.#sums(costs, "revenue"));
  }

  /** Reports what the row that came last adds to a line of several rows. @returns The line with it. */
  #tellGrowth(kind: "labour" | "revenue", line: ExactLine, project: number, row: number, before: readonly number[]): number[] {
    if (!this.tell) return [];
    const now = new Array<number>(this.periods.periods.length).fill(0);
    line.addTo(now);
    this.tell({ kind, project, row, amounts: now.map((amount, period) => amount - (before[period] ?? 0)) });
    return now;
  }

  #subject(row: number): Subject {
    const { plan, work } = this.placed;
    if (row < work.assignments) return { assignmentId: plan.assignments[row].id };
    const taskId = plan.tasks[work.task[row]].id;
    return row < work.firstRecorded ? { taskId } : { personId: plan.people[work.person[row]].id, taskId };
  }
}

/** The input that all projects share: rates, overtime, and the rows of work, tasks and expenses of each. */
interface Shared extends Groups {
  book: RateBook;
  overtime: OvertimeBook;
  /** Recorded rows by the team's assignment that they are part of. */
  parts: ReadonlyMap<number, readonly number[]>;
}

interface Groups {
  rows: Grouping;
  tasks: Grouping;
  expenses: Grouping;
  bookings: Grouping;
}

const sharedOf = (placed: Placed): Shared => ({
  book: rateBookOf(placed.plan),
  overtime: new OvertimeBook(placed),
  parts: partsOf(placed.work),
  ...groupsOf(placed.plan, placed.work.project),
});

function partsOf({ partOf, firstRecorded, rows }: Placed["work"]): Map<number, number[]> {
  const parts = new Map<number, number[]>();
  for (let row = firstRecorded; row < rows; row++) if (partOf[row] >= 0) parts.set(partOf[row], [...(parts.get(partOf[row]) ?? []), row]);
  return parts;
}

/** Rows of work, tasks, expenses and bookings by project. */
function groupsOf(plan: Plan, projectOfWork: Int32Array): Groups {
  return {
    rows: groupedOnce(projectOfWork, plan.projects, () => projectOfWork),
    tasks: groupedOnce(plan.tasks, plan.projects, () => projectsOf(plan, plan.tasks)),
    expenses: groupedOnce(plan.expenses, plan.projects, () => projectsOf(plan, plan.expenses)),
    bookings: groupedOnce(plan.actualCosts, plan.projects, () => projectsOf(plan, plan.actualCosts)),
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
