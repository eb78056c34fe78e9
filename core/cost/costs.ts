// The cost of every project: its lines by kind and period, its revenue and margin.

import { lineFinder } from "../calendar/lines.ts";
import { periodOfDays, periodsIn } from "../calendar/periods.ts";
import { type Model, periodSettingsOf } from "../model.ts";
import { groupRows, rowById } from "../plan/rows.ts";
import { minorUnits, roundedQuotient } from "../plan/units.ts";
import type { ReportRange } from "../reports/range.ts";
import { type CostPeriods, ExactLine } from "./exactLine.ts";
import { addExpense, addFixedCost, taxOf } from "./expense.ts";
import { addLabour } from "./labour.ts";
import { addMaterial } from "./material.ts";
import { overtimeMinutes } from "./overtime.ts";
import { RateBook } from "./rateBook.ts";
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
  /** Ids of assignments, and of tasks with an implicit opening, that have hours or material without a rate. */
  missingRates: string[];
}

/** Costs every project that is not cancelled over a range, pipeline in full.
 * @throws {MissingExchangeRate} where an amount cannot be converted. */
export function costsOf(model: Model, { range, grain }: ReportRange): Costs {
  const { plan, work, placements, schedule } = model;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const costPeriods = { range, periods, periodOf: periodOfDays(range, periods) };
  const book = new RateBook(plan);
  const overtime = overtimeMinutes(model);
  const costs: Costs = {
    periods: costPeriods,
    projects: plan.projects.map(({ stage }) => (stage === "cancelled" ? null : emptyCost(periods.length))),
    lines: [],
    missingRates: [],
  };
  const keep = (line: ExactLine, described: Omit<CostLine, "total">) => {
    const cost = costs.projects[described.project];
    if (cost) costs.lines.push({ ...described, total: line.addTo(cost.byKind[described.kind]) });
  };

  for (let row = 0; row < work.rows; row++) {
    const project = work.project[row];
    if (!costs.projects[project] || (row >= work.assignments && placements.asked[row] === 0)) continue;
    const subject = row < work.assignments ? { assignmentId: plan.assignments[row].id } : { taskId: plan.tasks[work.task[row]].id };
    const table = book.table(plan.projects[project].costTableId);
    const line = new ExactLine(costPeriods);
    const isMaterial = work.isMaterial[row] === 1;
    const isRated = isMaterial
      ? addMaterial(model, row, table, book, true, line)
      : addLabour(model, row, { table, book, overtime, isPerUseCharged: true }, line);
    if (!isRated) costs.missingRates.push(subject.assignmentId ?? (subject.taskId as string));
    keep(line, { ...subject, kind: isMaterial ? "material" : "labour", project });
  }
  plan.tasks.forEach((task, row) => {
    const project = rowById(plan.projects).get(task.projectId) as number;
    if (task.fixedCost === undefined || !costs.projects[project]) return;
    const line = new ExactLine(costPeriods);
    addFixedCost(task, schedule.of(row), line);
    keep(line, { taskId: task.id, kind: "fixed", project });
  });
  addExpenses(model, costs, costPeriods, keep);
  const byProject = groupRows(work.project, plan.projects.length);
  costs.projects.forEach((cost, project) => {
    if (!cost) return;
    const line = new ExactLine(costPeriods);
    addRevenue(model, project, [...byProject.members.subarray(byProject.first[project], byProject.first[project + 1])], book, line);
    line.addTo(cost.byKind.revenue);
  });
  return costs;
}

function addExpenses(
  { plan, lines }: Model,
  costs: Costs,
  periods: CostPeriods,
  keep: (line: ExactLine, described: Omit<CostLine, "total">) => void,
): void {
  const calendarOf = lineFinder(plan, lines);
  for (const expense of plan.expenses) {
    const project = rowById(plan.projects).get(expense.projectId) as number;
    const cost = costs.projects[project];
    if (!cost) continue;
    const calendar = calendarOf(plan.projects[project].calendarId);
    const line = new ExactLine(periods);
    addExpense(expense, minorUnits(expense.amount), calendar, line);
    keep(line, { expenseId: expense.id, kind: "expense", project });
    const tax = new ExactLine(periods);
    addExpense(expense, taxOf(expense), calendar, tax);
    tax.addTo(cost.byKind.tax);
  }
}

/** (revenue − cost) / revenue in hundredths of a percent; null without revenue. */
export function marginOf(revenue: number, cost: number): number | null {
  return revenue === 0 ? null : roundedQuotient((revenue - cost) * 10_000, revenue);
}

function emptyCost(periods: number): ProjectCost {
  const zeros = () => new Array<number>(periods).fill(0);
  return { byKind: { labour: zeros(), material: zeros(), fixed: zeros(), expense: zeros(), tax: zeros(), revenue: zeros() } };
}
