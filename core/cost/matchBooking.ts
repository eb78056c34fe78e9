// The planned expense that a booking pays for: by its reference, else by supplier, amount and date.
import { type Day, parseDay } from "../calendar/day.ts";
import { findRow } from "../plan/rows.ts";
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

/** The bookings so far, by what matching asks of them. */
export class BookedSoFar {
  /** Minor units by expense. */
  readonly #booked = new Map<string, number>();
  /** The expense of the first booking with each reference. */
  readonly #byReference = new Map<string, string>();

  constructor(bookings: readonly ActualCost[]) {
    for (const booking of bookings) this.put(null, booking);
  }

  /** Adds a booking. @param before The one of the same id, which it takes the place of. */
  put(before: ActualCost | null, { expenseId, amount, reference = "" }: ActualCost): void {
    if (before?.expenseId !== undefined) this.#add(before.expenseId, -minorUnits(before.amount));
    if (expenseId === undefined) return;
    this.#add(expenseId, minorUnits(amount));
    const key = plainText(reference);
    if (key !== "" && !this.#byReference.has(key)) this.#byReference.set(key, expenseId);
  }

  #add(expenseId: string, minor: number): void {
    this.#booked.set(expenseId, this.of(expenseId) + minor);
  }

  /** The booked part of an expense, in minor units. */
  of(expenseId: string): number {
    return this.#booked.get(expenseId) ?? 0;
  }

  /** The expense that a reference was matched with before. @param key As `plainText` writes it. */
  expenseOf(key: string): string | undefined {
    return this.#byReference.get(key);
  }
}

/** The expense that a booking belongs to. A reference is the id or the name of an expense, or that of a booking matched before; an
 * amount is compared with what is still to be booked, with and without tax.
 * @returns Null where none is planned that fits. Of several the nearest in amount counts, then in date, then in plan order. */
export function matchBooking(booking: StatedBooking, expenses: readonly Expense[], booked: BookedSoFar): BookingMatch | null {
  const isOfProject = ({ projectId }: Expense) => booking.projectId === undefined || projectId === booking.projectId;
  const named = byReference(booking, expenses, booked).find(isOfProject);
  if (named) return { expense: named, by: "reference" };
  const supplier = plainText(booking.supplier ?? "");
  if (supplier === "") return null;
  let best: { expense: Expense; off: number; days: number } | null = null;
  for (const expense of indexOf(expenses).bySupplier.get(supplier) ?? []) {
    if (!isOfProject(expense)) continue;
    const days = daysBetween(parseDay(booking.date), expense);
    const off = amountOff(minorUnits(booking.amount), expense, booked);
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

function byReference({ reference = "" }: StatedBooking, expenses: readonly Expense[], booked: BookedSoFar): Expense[] {
  const key = plainText(reference);
  if (key === "") return [];
  const before = findRow(expenses, booked.expenseOf(key));
  return [...(indexOf(expenses).byText.get(key) ?? []), ...(before ? [before] : [])];
}

/** Days from the dates of an expense to a day; 0 within them. */
function daysBetween(day: Day, { date, from, to }: Expense): number {
  const [first, last] = [parseDay(date ?? from ?? ""), parseDay(date ?? to ?? "")];
  return Math.max(0, first - day, day - last);
}

/** The minor units by which a booking misses what is still to be booked of an expense; null where that is too much. */
function amountOff(minor: number, expense: Expense, booked: BookedSoFar): number | null {
  const rest = minorUnits(expense.amount) - booked.of(expense.id);
  if (rest === 0 || Math.sign(rest) !== Math.sign(minor)) return null;
  const off = Math.min(Math.abs(minor - rest), Math.abs(minor - rest - taxOf(expense, rest)));
  return off * 100 <= Math.abs(rest) * AMOUNT_PERCENT ? off : null;
}
