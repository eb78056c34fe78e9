// Budgets of a project, as a whole and by kind: what the plan spends of each, what is left, and when it goes past it.
import type { Day } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import type { Placed } from "../placing/placed.ts";
import type { Money } from "../plan/moneySides.ts";
import { rowById } from "../plan/rows.ts";
import { minorUnits } from "../values/units.ts";
import { type Costs, moneyLines } from "./costs.ts";
import { type CostKind, costKinds } from "./moneyKeys.ts";

/** One budget of a project, in minor units over the horizon. */
export interface Budget {
  kind: CostKind | "all";
  budget: Money<"cost">;
  spent: Money<"cost">;
  left: Money<"cost">;
  /** The first day on which the cost so far is more than the budget; null where it never is. */
  passes: Day | null;
}

/** The budgets of a project, the whole first; none of a project without any, or that is cancelled. What a kind spends
 * includes the tax on expenses where tax is part of the cost. */
export function budgetsOf(model: Placed & { costsOfHorizon(): Costs }, projectId: string): Budget[] {
  const { plan } = model;
  const row = rowById(plan.projects).get(projectId);
  if (row === undefined) return [];
  const { budget, budgetByKind = {}, stage } = plan.projects[row];
  const asked = [{ kind: "all" as const, amount: budget }, ...costKinds.map((kind) => ({ kind, amount: budgetByKind[kind] }))];
  const stated = asked.filter((own): own is { kind: Budget["kind"]; amount: number } => own.amount !== undefined);
  if (stated.length === 0 || stage === "cancelled") return [];
  const byDay = spentByDay(model, row);
  return stated.map(({ kind, amount }): Budget => {
    const limit = minorUnits(amount);
    let spent = 0;
    let passes: Day | null = null;
    for (const [day, { start }] of byDay.periods.entries()) {
      const kinds = kind === "all" ? costKinds : [kind];
      for (const own of kinds) spent += byDay.amounts[own][day];
      if (spent > limit) passes ??= start;
    }
    return { kind, budget: limit, spent, left: limit - spent, passes };
  });
}

/** The cost of a project on each day of the horizon, by kind. */
function spentByDay(model: Placed & { costsOfHorizon(): Costs }, project: number) {
  const { plan } = model;
  const { lines, periods } = moneyLines(model, { range: horizonOf(plan), grain: "day" }, project);
  const none = () => new Array<number>(periods.length).fill(0);
  const amounts: Record<CostKind, number[]> = { labour: none(), material: none(), fixed: none(), expense: none() };
  for (const { kind, amounts: own } of lines) {
    if (kind === "revenue" || (kind === "tax" && !plan.settings.taxInCost)) continue;
    const sums = amounts[kind === "tax" ? "expense" : kind];
    own.forEach((amount, day) => {
      sums[day] += amount;
    });
  }
  return { amounts, periods };
}
