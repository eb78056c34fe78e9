// The parts that a sum of money leaves out: work without a rate, and rates without an exchange rate.
import type { Costs } from "./costs.ts";

/** Counts of assignments, and of tasks with an implicit opening, whose money is incomplete on some day. */
export interface MoneyGaps {
  missingRates: number;
  missingExchangeRates: number;
}

/** The gaps of the projects that are wanted. @param isWanted Says so of a project row. */
export function moneyGaps({ byProject }: Costs, isWanted: (project: number) => boolean): MoneyGaps {
  const gaps: MoneyGaps = { missingRates: 0, missingExchangeRates: 0 };
  byProject.forEach(({ missingRates, missingExchangeRates }, project) => {
    if (!isWanted(project)) return;
    gaps.missingRates += missingRates.length;
    gaps.missingExchangeRates += missingExchangeRates.length;
  });
  return gaps;
}
