// The planned expense that a booking pays for: by its reference, else by supplier, amount and date.
import { type Day, parseDay } from "../calendar/day.ts";
import type { ActualCost, Expense } from "../plan/schema.ts";
import { onceFor } from "../values/once.ts";
import { plainText } from "../values/plainText.ts";
import { minorUnits } from "../values/units.ts";
import { taxOf } from "./expense.ts";

/** A booking as accounting states it. */
export type StatedBooking = Pick<ActualCost, "date" | "amount"> & Partial<Pick<ActualCost, "projectId" | "supplier" | "reference">>;

export interface BookingMatch {
  expense: Expense;
  /** The sign that they belong together. */
  by: "reference" | "amount";
}

/** Part of the planned amount that a booking may differ by, in percent. */
const AMOUNT_PERCENT = 5;

/** The most days between a booking and its expense: invoices come weeks after a delivery. */
const MOST_DAYS = 45;

/** The expense that a booking belongs to. A reference is the id or the name of an expense, or that of a booking matched before; an
 * amount is compared with what is still to be booked, with and without tax.
 * @returns Null where none is planned that fits. Of several the nearest in amount counts, then in date, then in plan order. */
export function matchBooking(
  booking: StatedBooking,
  { expenses, bookings }: { expenses: readonly Expense[]; bookings: readonly ActualCost[] },
): BookingMatch | null {
  const isOfProject = ({ projectId }: Expense) => booking.projectId === undefined || projectId === booking.projectId;
  const named = byReference(booking, expenses, bookings).find(isOfProject);
  if (named) return { expense: named, by: "reference" };
  const supplier = plainText(booking.supplier ?? "");
  if (supplier === "") return null;
  let best: { expense: Expense; off: number; days: number } | null = null;
  for (const expense of indexOf(expenses).bySupplier.get(supplier) ?? []) {
    if (!isOfProject(expense)) continue;
    const days = daysBetween(parseDay(booking.date), expense);
    const off = amountOff(minorUnits(booking.amount), expense, bookings);
    if (days > MOST_DAYS || off === null) continue;
    if (!best || off < best.off || (off === best.off && days < best.days)) best = { expense, off, days };
  }
  return best && { expense: best.expense, by: "amount" };
}

const indexOf = onceFor((expenses: readonly Expense[]) => {
  const index = { byText: new Map<string, Expense[]>(), bySupplier: new Map<string, Expense[]>() };
  const add = (map: Map<string, Expense[]>, text: string, expense: Expense) => {
    const key = plainText(text);
    if (key !== "") map.set(key, [...(map.get(key) ?? []), expense]);
  };
  for (const expense of expenses) {
    add(index.byText, expense.id, expense);
    if (plainText(expense.name) !== plainText(expense.id)) add(index.byText, expense.name, expense);
    add(index.bySupplier, expense.supplier ?? "", expense);
  }
  return index;
});

function byReference({ reference = "" }: StatedBooking, expenses: readonly Expense[], bookings: readonly ActualCost[]): Expense[] {
  const key = plainText(reference);
  if (key === "") return [];
  const before = bookings.find((own) => own.expenseId !== undefined && plainText(own.reference ?? "") === key);
  const known = expenses.filter(({ id }) => id === before?.expenseId);
  return [...(indexOf(expenses).byText.get(key) ?? []), ...known];
}

/** Days from the dates of an expense to a day; 0 within them. */
function daysBetween(day: Day, { date, from, to }: Expense): number {
  const [first, last] = [parseDay(date ?? from ?? ""), parseDay(date ?? to ?? "")];
  return Math.max(0, first - day, day - last);
}

/** The minor units by which a booking misses what is still to be booked of an expense; null where that is too much. */
function amountOff(minor: number, expense: Expense, bookings: readonly ActualCost[]): number | null {
  const amount = minorUnits(expense.amount);
  const booked = bookings.reduce((sum, own) => (own.expenseId === expense.id ? sum + minorUnits(own.amount) : sum), 0);
  const rest = amount - booked;
  if (rest === 0 || Math.sign(rest) !== Math.sign(minor)) return null;
  const off = Math.min(Math.abs(minor - rest), Math.abs(minor - rest - taxOf(expense, rest)));
  return off * 100 <= Math.abs(rest) * AMOUNT_PERCENT ? off : null;
}
