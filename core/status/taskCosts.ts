// The cost of every task before the status date and from it on, and what belongs to no leaf.
import { type Costs, type MoneyLine, moneyLinesIn } from "../cost/costs.ts";
import { taskOf } from "../cost/ledger.ts";
import { moneySpan } from "../cost/moneySpan.ts";
import type { Placed } from "../placing/placed.ts";
import { SUMMARY } from "../schedule/network.ts";

/** Minor units: by task row of leaves, and by project row of what belongs to none. */
export interface TaskCosts {
  actual: Float64Array;
  remaining: Float64Array;
  actualOfProject: Float64Array;
  remainingOfProject: Float64Array;
}

/** The leaf that a line's cost belongs to; −1 where it belongs to none, as what a summary costs itself. */
export function leafOf(model: Placed, line: MoneyLine): number {
  const task = taskOf(model, line);
  return task >= 0 && model.schedule.network.sizing[task] !== SUMMARY ? task : -1;
}

/** True of a line that is cost: tax is where the settings say so. */
export const isCost = ({ plan }: Placed, { kind }: MoneyLine): boolean =>
  kind !== "revenue" && (kind !== "tax" || plan.settings.taxInCost === true);

/** The cost of every task and project that is not cancelled. */
export function taskCosts(model: Placed & { costsOfHorizon(): Costs }): TaskCosts {
  const { plan, progress } = model;
  const span = moneySpan(model);
  const halves = [
    { start: span.start, stop: progress.status },
    { start: progress.status, stop: span.stop },
  ];
  const costs: TaskCosts = {
    actual: new Float64Array(plan.tasks.length),
    remaining: new Float64Array(plan.tasks.length),
    actualOfProject: new Float64Array(plan.projects.length),
    remainingOfProject: new Float64Array(plan.projects.length),
  };
  for (const line of moneyLinesIn(model, span, halves)) {
    if (!isCost(model, line)) continue;
    const leaf = leafOf(model, line);
    const [past, ahead] = line.amounts;
    if (leaf >= 0) {
      costs.actual[leaf] += past;
      costs.remaining[leaf] += ahead;
    } else {
      costs.actualOfProject[line.project] += past;
      costs.remainingOfProject[line.project] += ahead;
    }
  }
  return costs;
}
