// The cost of every project: its lines by kind and period, its revenue and margin.

import { lineFinder } from "../calendar/lines.ts";
import { periodOfDays, periodsIn } from "../calendar/periods.ts";
import { type Model, periodSettingsOf } from "../model.ts";
import { groupRows, rowById } from "../plan/rows.ts";
import type { Expense, Plan, Task } from "../plan/schema.ts";
import { minorUnits, roundedQuotient } from "../plan/units.ts";
import type { ReportRange } from "../reports/range.ts";
import { type CostPeriods, ExactLine } from "./exactLine.ts";
import { addExpense, addFixedCost, taxOf } from "./expense.ts";
import { addLabour } from "./labour.ts";
import { addMaterial } from "./material.ts";
import { type OvertimeMinutes, overtimeMinutes } from "./overtime.ts";
import { type Lacks, RateBook } from "./rateBook.ts";
import { addRevenue } from "./revenue.ts";

export type CostKind = "labour" | "material" | "fixed" | "expense";

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
  byKind: Record<CostKind | "tax" | "revenue", number[]>;
}

export interface Costs {
  periods: CostPeriods;
  /** By project row; null for a cancelled project. */
  projects: (ProjectCost | null)[];
  lines: CostLine[];
  /** Ids of assignments, and of tasks with an implicit opening, that have hours or material without a rate, for cost or
   * for revenue; and of those whose rate has no exchange rate on some day. */
  missingRates: string[];
  missingExchangeRates: string[];
}

/** Costs every project that is not cancelled over a range, pipeline in full. */
export function costsOf(model: Model, { range, grain }: ReportRange): Costs {
  const { plan, work } = model;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const costing = new Costing(model, { range, periods, periodOf: periodOfDays(range, periods) });
  for (let row = 0; row < work.rows; row++) costing.addWork(row);
  plan.tasks.forEach((task, row) => {
    costing.addFixed(task, row);
  });
  for (const expense of plan.expenses) costing.addExpense(expense);
  const { first, members } = groupRows(work.project, plan.projects.length);
  plan.projects.forEach((_, project) => {
    costing.addRevenue(project, members.subarray(first[project], first[project + 1]));
  });
  return costing.result();
}

/** Costs under way. */
class Costing {
  readonly #projects: (ProjectCost | null)[];
  readonly #lines: CostLine[] = [];
  readonly #book: RateBook;
  readonly #overtime: OvertimeMinutes;
  /** By row of work: what the days of its work lack. */
  readonly #lacksRate: Uint8Array;
  readonly #lacksExchange: Uint8Array;

  constructor(
    readonly model: Model,
    readonly periods: CostPeriods,
  ) {
    const { plan, work } = model;
    this.#projects = plan.projects.map(({ stage }) => (stage === "cancelled" ? null : emptyCost(periods.periods.length)));
    this.#book = new RateBook(plan);
    this.#overtime = overtimeMinutes(model);
    this.#lacksRate = new Uint8Array(work.rows);
    this.#lacksExchange = new Uint8Array(work.rows);
  }

  addWork(row: number): void {
    const { plan, work, placements } = this.model;
    const project = work.project[row];
    if (!this.#projects[project] || (row >= work.assignments && placements.asked[row] === 0)) return;
    const table = this.#book.table(plan.projects[project].costTableId);
    const line = new ExactLine(this.periods);
    const isMaterial = work.isMaterial[row] === 1;
    const lacks = isMaterial
      ? addMaterial(this.model, row, table, this.#book, true, line)
      : addLabour(this.model, row, { table, book: this.#book, overtime: this.#overtime, isPerUseCharged: true }, line);
    this.#lack(row, lacks);
    const subject = row < work.assignments ? { assignmentId: plan.assignments[row].id } : { taskId: plan.tasks[work.task[row]].id };
    this.#keep(line, { ...subject, kind: isMaterial ? "material" : "labour", project });
  }

  addFixed(task: Task, row: number): void {
    const project = rowById(this.model.plan.projects).get(task.projectId) as number;
    if (task.fixedCost === undefined || !this.#projects[project]) return;
    const line = new ExactLine(this.periods);
    addFixedCost(task, this.model.schedule.of(row), line);
    this.#keep(line, { taskId: task.id, kind: "fixed", project });
  }

  addExpense(expense: Expense): void {
    const { plan, lines } = this.model;
    const project = rowById(plan.projects).get(expense.projectId) as number;
    const cost = this.#projects[project];
    if (!cost) return;
    const calendar = lineFinder(plan, lines)(plan.projects[project].calendarId);
    const [line, tax] = [new ExactLine(this.periods), new ExactLine(this.periods)];
    addExpense(expense, minorUnits(expense.amount), calendar, line);
    addExpense(expense, taxOf(expense), calendar, tax);
    const taxed = tax.addTo(cost.byKind.tax);
    this.#keep(line, { expenseId: expense.id, kind: "expense", project }, plan.settings.taxInCost ? taxed : 0);
  }

  addRevenue(project: number, rows: Int32Array): void {
    const cost = this.#projects[project];
    if (!cost) return;
    const line = new ExactLine(this.periods);
    addRevenue(this.model, project, rows, this.#book, line, (row, lacks) => this.#lack(row, lacks));
    line.addTo(cost.byKind.revenue);
  }

  result(): Costs {
    return {
      periods: this.periods,
      projects: this.#projects,
      lines: this.#lines,
      missingRates: this.#idsOf(this.#lacksRate),
      missingExchangeRates: this.#idsOf(this.#lacksExchange),
    };
  }

  #keep(line: ExactLine, described: Omit<CostLine, "total">, tax = 0): void {
    const cost = this.#projects[described.project];
    if (cost) this.#lines.push({ ...described, total: line.addTo(cost.byKind[described.kind]) + tax });
  }

  #lack(row: number, { rate, exchange }: Lacks): void {
    if (rate) this.#lacksRate[row] = 1;
    if (exchange) this.#lacksExchange[row] = 1;
  }

  #idsOf(lacks: Uint8Array): string[] {
    const { plan, work } = this.model;
    const ids: string[] = [];
    lacks.forEach((lack, row) => {
      if (lack === 1) ids.push(row < work.assignments ? plan.assignments[row].id : plan.tasks[work.task[row]].id);
    });
    return ids;
  }
}

export const costKinds = ["labour", "material", "fixed", "expense"] as const satisfies readonly CostKind[];

/** What a project costs in a period, all kinds together; tax is part of it where the settings say so. */
export function totalOf({ settings }: Plan, { byKind }: ProjectCost, period: number): number {
  return costKinds.reduce((sum, kind) => sum + byKind[kind][period], settings.taxInCost ? byKind.tax[period] : 0);
}

/** (revenue − cost) / revenue in hundredths of a percent; null without revenue. */
export function marginOf(revenue: number, cost: number): number | null {
  return revenue === 0 ? null : roundedQuotient((revenue - cost) * 10_000, revenue);
}

function emptyCost(periods: number): ProjectCost {
  const zeros = () => new Array<number>(periods).fill(0);
  return { byKind: { labour: zeros(), material: zeros(), fixed: zeros(), expense: zeros(), tax: zeros(), revenue: zeros() } };
}
