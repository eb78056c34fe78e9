// The expenses of all projects, with the names of what they belong to.

import { countedMoney, isCounted } from "../cost/countedMoney.ts";
import { taxOf } from "../cost/expense.ts";
import type { Counting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { rowById } from "../plan/rows.ts";
import type { Expense } from "../plan/schema.ts";
import { minorUnits } from "../values/units.ts";

export interface ExpenseRow {
  expense: Expense;
  projectName: string;
  projectRow: number;
  /** Minor units, in full. */
  amount: Money<"cost">;
  tax: Money<"cost">;
  /** The amount as it counts: of a pipeline project, weighted where the question asks for it. */
  counted: Money<"cost">;
}

export interface Expenses {
  currency: string;
  rows: ExpenseRow[];
  /** Suppliers that are known, for the field. */
  suppliers: string[];
}

/** Expenses of projects that count, in plan order. @param query How pipeline projects count. */
export function expensesOf({ plan }: Model, { pipeline }: { pipeline: Counting["pipeline"] }): Expenses {
  const projects = rowById(plan.projects);
  const rows = plan.expenses.flatMap((expense): ExpenseRow[] => {
    const projectRow = projects.get(expense.projectId) ?? -1;
    const project = plan.projects[projectRow];
    if (!project || !isCounted(project, pipeline)) return [];
    const amount = minorUnits(expense.amount);
    const counted = countedMoney(project, pipeline, amount);
    return [{ expense, projectName: project.name, projectRow, amount, tax: taxOf(expense), counted }];
  });
  const suppliers = [...new Set(plan.expenses.flatMap(({ supplier }) => supplier ?? []))].sort();
  return { currency: plan.settings.currency, rows, suppliers };
}
