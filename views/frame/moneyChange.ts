// The change of cost, revenue and margin, in words: the same wherever something is about to be changed.
import { signedMoney } from "../../ui/format.ts";

/** Minor units over the horizon, of all projects: after less before. */
export interface MoneyChange {
  cost: number;
  revenue: number;
}

/** Minor units that round to nothing are not reported. */
export const LEAST_MONEY = 50;

/** Cost, and the margin where revenue changes too: else it is the cost with the other sign. */
export function moneyPhrases({ cost, revenue }: MoneyChange, currency: string): { text: string; isBad: boolean }[] {
  const phrases: { text: string; isBad: boolean }[] = [];
  if (Math.abs(cost) >= LEAST_MONEY) phrases.push({ text: `cost ${signedMoney(cost, currency)}`, isBad: false });
  const margin = revenue - cost;
  if (revenue !== 0 && Math.abs(margin) >= LEAST_MONEY)
    phrases.push({ text: `margin ${signedMoney(margin, currency)}`, isBad: margin < 0 });
  return phrases;
}
