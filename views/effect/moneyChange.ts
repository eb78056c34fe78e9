// The change of cost, revenue and margin, in words: the same wherever something is about to be changed.

import { type Figure, isHidden, isNegative, lessFigure } from "../../core/plan/moneySides.ts";
import { signedMoney } from "../../ui/format.ts";

/** Minor units over the horizon, of all projects: after less before. */
export interface MoneyChange {
  cost: Figure;
  revenue: Figure;
}

/** Minor units below this round to nothing and are not reported. */
const LEAST_MONEY = 50;

/** True of a change that is worth reporting; hidden ones are not. */
export const isLarge = (minor: Figure): boolean => !isHidden(minor) && Math.abs(minor) >= LEAST_MONEY;

/** Cost, and the margin where revenue changes too: else it is the cost with the other sign. */
export function moneyPhrases({ cost, revenue }: MoneyChange, currency: string): { text: string; isBad: boolean }[] {
  const phrases: { text: string; isBad: boolean }[] = [];
  if (isLarge(cost)) phrases.push({ text: `cost ${signedMoney(cost, currency)}`, isBad: false });
  const margin = lessFigure(revenue, cost);
  if (revenue !== 0 && isLarge(margin)) phrases.push({ text: `margin ${signedMoney(margin, currency)}`, isBad: isNegative(margin) });
  return phrases;
}
