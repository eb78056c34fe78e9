// Fixed costs of tasks and expenses of projects.
import { type Day, parseDay } from "../calendar/day.ts";
import type { WorkingLine } from "../calendar/workingLine.ts";
import type { Expense, Task } from "../plan/schema.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { known } from "../values/lookUp.ts";
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

/** Tax of an expense in minor units, rounded once. */
export function taxOf(expense: Expense): number {
  return roundedQuotient(minorUnits(expense.amount) * percentHundredths(expense.taxPercent ?? 0), 10_000);
}

/** Adds minor units to a line as an expense falls: on its date, or evenly over its working days. */
export function addExpense(expense: Expense, minor: number, calendar: WorkingLine, line: ExactLine): void {
  const days = expenseDays(expense, calendar);
  for (const day of days) line.add(line.slotOf(day), BigInt(minor), BigInt(days.length));
}

/** The days an expense falls on: its date, or the working days from one to another; where there are none, the first. */
export function expenseDays({ date, from, to }: Expense, calendar: WorkingLine): Day[] {
  const first = parseDay(known(date ?? from, "date of an expense"));
  const days: Day[] = [];
  const last = date === undefined ? parseDay(known(to, "end of an expense")) : first - 1;
  for (let day = first; day <= last; day++) if (calendar.isWorkingDay(day)) days.push(day);
  return days.length > 0 ? days : [first];
}
