// The marks of the cash flow chart: colours by kind of cost, for the chart, its legend and its file.

import type { Redacted } from "../../client/seen.ts";
import type { BudgetRun, MoneyAnswer } from "../../core/answers/money.ts";
import type { ChartMark } from "../../ui/chartParts.tsx";
import { rowName } from "./moneyWords.ts";

const hues: Record<string, string> = {
  labour: "var(--h1)",
  material: "var(--h4)",
  fixed: "var(--h3)",
  expense: "var(--h2)",
  tax: "var(--h6)",
};

export const hueOfKind = (kind: string): string => hues[kind] ?? "var(--h8)";

/** True where only some of the projects have a budget: it is compared with the cost of these alone. */
export const isPartlyBudgeted = (money: Redacted<MoneyAnswer>): money is Redacted<MoneyAnswer> & { budget: Redacted<BudgetRun> } =>
  money.budget !== null && money.budget.projects < money.budget.of;

/** The running total that a budget is compared with. */
export const budgetedName = ({ projects, of }: Redacted<BudgetRun>): string =>
  `Running total of ${projects} of ${of} projects, with a budget`;

/** The bars and lines of the chart, for the legend and the file. */
export function cashMarks(money: Redacted<MoneyAnswer>): ChartMark[] {
  const { rows, budget } = money;
  return [
    ...rows.map(({ key, name }): ChartMark => ({ name: rowName("kind", key, name), color: hueOfKind(key), as: "bar" })),
    { name: "Running total", color: "var(--ink)", as: "line" },
    ...(isPartlyBudgeted(money) ? [{ name: budgetedName(money.budget), color: "var(--over)", as: "line" } as const] : []),
    ...(budget === null ? [] : [{ name: "Budget", color: "var(--over)", as: "dashed" } as const]),
  ];
}
