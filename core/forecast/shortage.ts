// What each role lacks over a range, week by week: demand beyond the capacity of its people.
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { countedShares, defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { capacityByRole, DemandSums, demandedRole, roleOfPeople } from "./demand.ts";

/** Minutes by role row that the weeks of a range lack, summed; the default counting, what counts by chance as whole. */
export function shortageByRole(model: Model, range: Range): Float64Array {
  const weeks = periodsIn(range, "week", periodSettingsOf(model.plan));
  const roleOf = roleOfPeople(model);
  const sums = new DemandSums(model, weeks);
  const demand = sums.empty();
  const shares = countedShares(model, defaultCounting);
  for (let row = 0; row < model.work.rows; row++) {
    const role = shares[row] > 0 ? demandedRole(model, roleOf, row) : -1;
    if (role >= 0) sums.add(row, role, demand);
  }
  const capacity = capacityByRole(model, roleOf, weeks);
  const lacking = new Float64Array(model.plan.roles.length);
  for (let slot = 0; slot < demand.length; slot++) lacking[Math.floor(slot / weeks.length)] += Math.max(0, demand[slot] - capacity[slot]);
  return lacking;
}
