// The cost and margin of an hour of each person on a task, for choosing whom to add.
import type { Day } from "../calendar/day.ts";
import { marginOf } from "../cost/costs.ts";
import { costOfMinutes } from "../cost/labour.ts";
import { costRole, type RateBook, rateBookOf, stretchOn } from "../cost/rateBook.ts";
import type { Model } from "../model.ts";
import type { Money } from "../plan/moneySides.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Plan, RateTable } from "../plan/schema.ts";

export interface TaskPrice {
  personId: string;
  /** Minor units of the plan's currency per hour, at the standard rate of the task's first day; null where no rate is in force. */
  cost: Money<"cost"> | null;
  /** Margin in hundredths of a percent of the billing rate; null unless the project bills time and materials. */
  margin: Money<"margin"> | null;
}

/** The price of an hour for each person of the plan, in the task's role or, without one, in the person's first role.
 * @returns Empty when the task has no dates. */
export function taskPrices(model: Model, taskId: string): TaskPrice[] {
  const { plan, schedule } = model;
  const row = rowById(plan.tasks).get(taskId) ?? -1;
  const dates = row < 0 ? null : schedule.of(row);
  if (!dates) return [];
  const task = plan.tasks[row];
  const project = findRow(plan.projects, task.projectId);
  const book = rateBookOf(plan);
  const [costTable, billTable] = [book.table(project?.costTableId), book.table(project?.billTableId)];
  const isBilled = project?.billing?.kind === "timeAndMaterials";
  const role = rowById(plan.roles).get(task.roleId ?? "") ?? -1;
  return plan.people.map(({ id }, person) => {
    const priceIn = (table: RateTable | undefined) => table && hourOf({ plan, book, table }, person, role, dates.start.day);
    const cost = priceIn(costTable) ?? null;
    const bill = (isBilled && priceIn(billTable)) || null;
    return { personId: id, cost, margin: cost === null || bill === null ? null : marginOf(bill, cost) };
  });
}

interface Pricing {
  plan: Plan;
  book: RateBook;
  table: RateTable;
}

/** Minor units per hour; null where no rate or no exchange rate is in force on the day. */
function hourOf({ plan, book, table }: Pricing, person: number, role: number, day: Day): number | null {
  const stretches = book.labour(table, plan.people[person].id, costRole(plan, role, person));
  const exchange = book.exchange(table);
  if (!stretchOn(stretches, day).entry || stretchOn(exchange, day).factor === null) return null;
  return costOfMinutes(stretches, exchange, day, Int32Array.of(60));
}
