// Fixed costs of tasks, and expenses of projects with what was booked for them.
import { type Day, parseDay } from "../calendar/day.ts";
import type { WorkingLine } from "../calendar/workingLine.ts";
import type { Placed } from "../placing/placed.ts";
import { findRow } from "../plan/rows.ts";
import type { ActualCost, Expense, Task } from "../plan/schema.ts";
import { isTracked } from "../recorded/actuals.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { known } from "../values/lookUp.ts";
import { onceFor } from "../values/once.ts";
import { minorUnits, percentHundredths, roundedQuotient } from "../values/units.ts";
import type { ExactLine } from "./exactLine.ts";
import { forAccrualDays } from "./material.ts";

/** Adds a task's fixed cost to a line by its accrual, at the end by default. */
export function addFixedCost(task: Task, dates: TaskDates | null, line: ExactLine): void {
  if (!dates) return;
  const amount = BigInt(minorUnits(task.fixedCost ?? 0));
  forAccrualDays(dates, task.fixedCostAccrual ?? "end", (day, ticks, total) =>
    line.add(line.slotOf(day), amount * BigInt(ticks), BigInt(total)),
  );
}

/** Tax of an expense in minor units, rounded once. @param minor What is taxed: the whole amount by default. */
export function taxOf({ amount, taxPercent = 0 }: Expense, minor = minorUnits(amount)): number {
  return roundedQuotient(minor * percentHundredths(taxPercent), 10_000);
}

/** Adds minor units to a line evenly over some days. */
export function addOverDays(minor: number, days: readonly Day[], line: ExactLine): void {
  for (const day of days) line.add(line.slotOf(day), BigInt(minor), BigInt(days.length));
}

/** The cost of an expense, in minor units: what was booked for it, and the rest with the days it is spread over. */
export interface ExpenseCost {
  rest: number;
  days: readonly Day[];
  booked: readonly { day: Day; minor: number }[];
}

/** The cost of an expense and its days. Of a tracked project what was booked comes first; the rest of one that is not paid lies on the
 * status date or later. @param calendar Of the project. */
export function expenseCost({ plan, progress }: Pick<Placed, "plan" | "progress">, expense: Expense, calendar: WorkingLine): ExpenseCost {
  const amount = minorUnits(expense.amount);
  const days = expenseDays(expense, calendar);
  const project = findRow(plan.projects, expense.projectId);
  if (!project || !isTracked(project)) return { rest: amount, days, booked: [] };
  const booked = (bookingsOf(plan.actualCosts).get(expense.id) ?? []).map(({ date, amount: own }) => ({
    day: parseDay(date),
    minor: minorUnits(own),
  }));
  if (expense.state === "paid") return { rest: booked.length === 0 ? amount : 0, days, booked };
  const left = booked.reduce((rest, { minor }) => rest - minor, amount);
  const ahead = days.filter((day) => day >= progress.status);
  return {
    rest: amount < 0 ? Math.min(0, left) : Math.max(0, left),
    days: ahead.length > 0 ? ahead : [progress.status],
    booked,
  };
}

/** Bookings by the expense that they belong to. */
const bookingsOf = onceFor((bookings: readonly ActualCost[]): ReadonlyMap<string, readonly ActualCost[]> => {
  const byExpense = new Map<string, ActualCost[]>();
  for (const booking of bookings)
    if (booking.expenseId !== undefined) byExpense.set(booking.expenseId, [...(byExpense.get(booking.expenseId) ?? []), booking]);
  return byExpense;
});

/** The days an expense falls on: its date, or the working days from one to another; where there are none, the first. */
export function expenseDays({ date, from, to }: Expense, calendar: WorkingLine): Day[] {
  const first = parseDay(known(date ?? from, "date of an expense"));
  const days: Day[] = [];
  const last = date === undefined ? parseDay(known(to, "end of an expense")) : first - 1;
  for (let day = first; day <= last; day++) if (calendar.isWorkingDay(day)) days.push(day);
  return days.length > 0 ? days : [first];
}
