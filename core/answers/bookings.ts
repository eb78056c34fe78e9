// The bookings of all projects, with the names of what they belong to.
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { ActualCost } from "../plan/schema.ts";
import { isTracked } from "../recorded/actuals.ts";
import { minorUnits } from "../values/units.ts";

export interface BookingRow {
  booking: ActualCost;
  projectName: string;
  projectRow: number;
  /** The planned expense that it pays for, by name; null for none. */
  expenseName: string | null;
  taskName: string | null;
  /** Minor units. */
  amount: Money<"cost">;
  /** True where it is cost of its project: the past of others stays as planned. */
  counts: boolean;
}

export interface Bookings {
  currency: string;
  /** The latest first. */
  rows: BookingRow[];
  /** Suppliers that are known, for the field. */
  suppliers: string[];
}

/** Every booking; those of one day in plan order. */
export function bookingsOf({ plan }: Model): Bookings {
  const projects = rowById(plan.projects);
  const rows = plan.actualCosts.map((booking): BookingRow => {
    const projectRow = projects.get(booking.projectId) ?? -1;
    const project = plan.projects[projectRow];
    const expense = findRow(plan.expenses, booking.expenseId);
    return {
      booking,
      projectName: project?.name ?? booking.projectId,
      projectRow,
      expenseName: expense?.name ?? null,
      taskName: findRow(plan.tasks, booking.taskId ?? expense?.taskId)?.name ?? null,
      amount: minorUnits(booking.amount),
      counts: project !== undefined && isTracked(project),
    };
  });
  const named = [...plan.actualCosts, ...plan.expenses];
  return {
    currency: plan.settings.currency,
    rows: rows.sort((a, b) => (a.booking.date < b.booking.date ? 1 : a.booking.date > b.booking.date ? -1 : 0)),
    suppliers: [...new Set(named.flatMap(({ supplier }) => supplier ?? []))].sort(),
  };
}
