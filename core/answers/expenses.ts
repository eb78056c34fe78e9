// The expenses of all projects, with the names of what they belong to.

import { taxOf } from "../cost/expense.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import type { Expense } from "../plan/schema.ts";
import { minorUnits } from "../plan/units.ts";

export interface ExpenseRow {
  expense: Expense;
  projectName: string;
  projectRow: number;
  /** Minor units. */
  amount: number;
  tax: number;
}

export interface Expenses {
  currency: string;
  rows: ExpenseRow[];
  /** Suppliers that are known, for the field. */
  suppliers: string[];
}

/** Expenses of projects that are not cancelled, in plan order. */
export function expensesOf({ plan }: Model): Expenses {
  const projects = rowById(plan.projects);
  const rows = plan.expenses.flatMap((expense): ExpenseRow[] => {
    const projectRow = projects.get(expense.projectId) ?? -1;
    const project = plan.projects[projectRow];
    if (!project || project.stage === "cancelled") return [];
    return [{ expense, projectName: project.name, projectRow, amount: minorUnits(expense.amount), tax: taxOf(expense) }];
  });
  const suppliers = [...new Set(plan.expenses.flatMap(({ supplier }) => supplier ?? []))].sort();
  return { currency: plan.settings.currency, rows, suppliers };
}
