// The cost of paid time outside projects: hours of hired people, at their own rate or their role's.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { type Counting, defaultCounting } from "../load/counting.ts";
import type { LoadBook } from "../load/loadBook.ts";
import type { Placed } from "../placing/placed.ts";
import { firstRoleOf } from "../plan/names.ts";
import type { Plan } from "../plan/schema.ts";
import { costOfMinutes } from "./labour.ts";
import { rateBookOf } from "./rateBook.ts";

/** Minor units for minutes by day, from the first cost table that prices them; 0 where none does.
 * @param start The day of `minutes[0]`. */
export function costOfPaidMinutes(
  plan: Plan,
  { personId, roleId }: { personId?: string; roleId?: string },
  start: Day,
  minutes: Int32Array,
): number {
  const book = rateBookOf(plan);
  for (const table of plan.rateTables) {
    if (table.kind !== "cost") continue;
    const cost = costOfMinutes(book.labour(table, personId, roleId), book.exchange(table), start, minutes);
    if (cost > 0) return cost;
  }
  return 0;
}

/** The cost of a person's unassigned time over a range: capacity less load by day, at their rate, in minor units. */
export function costOfUnassignedTime(
  model: Placed & { load(counting: Counting): LoadBook },
  person: number,
  { start, stop }: Range,
): number {
  const { plan } = model;
  const { regular, overtime, at } = model.capacity.of(person, start, stop);
  const load = model.load(defaultCounting).of(person, start, stop);
  const minutes = new Int32Array(stop - start);
  for (let i = 0; i < minutes.length; i++) minutes[i] = Math.max(0, regular[at + i] + overtime[at + i] - load.minutes[load.at + i]);
  const { id, roleIds } = plan.people[person];
  return costOfPaidMinutes(plan, { personId: id, roleId: firstRoleOf({ roleIds }) }, start, minutes);
}
