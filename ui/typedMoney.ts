// What is typed of money: an amount, or a number at a price each.
import { readAmount } from "./amount.ts";

const MOST = 1e9;

/** "1200", "1,200.50" or "4 × 250": in money with at most two decimals; null where it means nothing. */
export function readMoney(text: string): { value: number } | null {
  const parts = text.split(/[×x*]/i).map((part) => readAmount(plainText(part), 0, MOST));
  if (parts.length > 2 || parts.some((part) => part === null)) return null;
  const value = parts.reduce((product, part) => product * (part?.value ?? 0), 1);
  const cents = Math.round(value * 100);
  return value <= MOST && Math.abs(value * 100 - cents) < 1e-6 ? { value: cents / 100 } : null;
}

/** Commas between groups of three are no decimal commas. */
const plainText = (text: string): string => (/^\s*\d{1,3}(,\d{3})+(\.\d+)?\s*$/.test(text) ? text.replaceAll(",", "") : text);

export const MONEY_HINT = "An amount such as 1200, or 4 × 250";
