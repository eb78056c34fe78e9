// When an expense falls, as it is typed: a day, or from one to another.
import type { Expense } from "../../core/plan/schema.ts";
import { readDate, writeDate } from "../../ui/dateText.ts";

export type When = Pick<Expense, "date" | "from" | "to">;

export const writeWhen = ({ date, from, to }: When): string =>
  date === undefined ? `${writeDate(from)} – ${writeDate(to)}` : writeDate(date);

/** "16 Apr 2027" or "1 Feb 2027 – 31 May 2027"; null where it means neither. */
export function readWhen(text: string): { value: When } | null {
  const parts = text.split(/\s+[–-]\s+|\s+to\s+|\s+until\s+/);
  const [from, to] = parts.flatMap((part) => readDate(part.trim()) ?? []);
  if (parts.length === 1) return from === undefined ? null : { value: { date: from } };
  return parts.length === 2 && to !== undefined && from <= to ? { value: { from, to } } : null;
}

export const WHEN_HINT = "A day such as 8 Feb 2027, or 1 Feb 2027 – 31 May 2027";
