// What is typed of an expense: an amount, or a number at a price each; a day, or from one to another.
import type { Expense } from "../../core/plan/schema.ts";
import { readDate, writeDate } from "../../ui/dateText.ts";
import { readAmount } from "../../ui/useDraft.ts";

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

export type When = Pick<Expense, "date" | "from" | "to">;

export const writeWhen = ({ date, from, to }: When): string =>
  date === undefined ? `${writeDate(from)} – ${writeDate(to)}` : writeDate(date);

/** "16 Apr 2027" or "1 Feb 2027 – 31 May 2027"; null where it means neither. */
export function readWhen(text: string): { value: When } | null {
  const parts = text.split(/\s+[–-]\s+|\s+to\s+|\s+until\s+/).map((part) => readDate(part.trim()));
  if (parts.some((part) => part === null)) return null;
  const [from, to] = parts as string[];
  if (parts.length === 1) return { value: { date: from } };
  return parts.length === 2 && from <= to ? { value: { from, to } } : null;
}

export const WHEN_HINT = "A day such as 8 Feb 2027, or 1 Feb 2027 – 31 May 2027";
