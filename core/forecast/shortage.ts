// What each role lacks over a range, week by week: demand beyond the capacity of its people.
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range } from "../calendar/periods.ts";
import { countedShares, defaultCounting } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { capacityOf, demandOf } from "./demand.ts";
import { roleGroups } from "./groups.ts";

/** Minutes by role row that the weeks of a range lack, summed; the default counting, what counts by chance as whole. */
export function shortageByRole(model: Model, range: Range): Float64Array {
  const weeks = periodsIn(range, "week", periodSettingsOf(model.plan));
  const roles = roleGroups(model);
  const shares = countedShares(model, defaultCounting);
  const demand = demandOf(model, roles, weeks, (row) => shares[row] > 0);
  const capacity = capacityOf(model, roles, weeks);
  const lacking = new Float64Array(model.plan.roles.length);
  for (let slot = 0; slot < demand.length; slot++) lacking[Math.floor(slot / weeks.length)] += Math.max(0, demand[slot] - capacity[slot]);
  return lacking;
}
