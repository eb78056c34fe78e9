// The uses of the rates of a table: projects, hours and amounts.

import { costRole, type RateSource, type RateStretch, rateBookOf, stretchOn } from "../cost/rateBook.ts";
import type { Model } from "../model.ts";
import type { Placements } from "../placing/placements.ts";
import type { Money } from "../plan/moneySides.ts";
import { rateSubject } from "../plan/rateSubject.ts";
import { findRow } from "../plan/rows.ts";
import type { Project, RateTable } from "../plan/schema.ts";

export interface RateUse {
  /** Such as "role designer"; of everyone else "default". */
  subject: string;
  projects: string[];
  /** Minutes priced; of a material 0. */
  minutes: number;
  /** Minor units of the table's currency, overtime at the plain rate; of a material 0. */
  amount: Money;
}

/** The uses by subject of the rate, over the whole plan; of projects that are not cancelled. */
export function rateUses(model: Model, { tableId }: { tableId: string }): RateUse[] {
  const { plan, work, placements } = model;
  const table = findRow(plan.rateTables, tableId);
  if (!table) return [];
  const book = rateBookOf(plan);
  // Amounts are summed as minutes times ten-thousandths an hour: whole numbers, rounded once.
  const uses = new Map<string, Omit<RateUse, "projects"> & { projects: Set<string> }>();
  const pricedFor = (subject: string, { name }: Project) => {
    const use = uses.get(subject) ?? { subject, projects: new Set(), minutes: 0, amount: 0 };
    uses.set(subject, use);
    use.projects.add(name);
    return use;
  };
  for (let row = 0; row < work.rows; row++) {
    const project = plan.projects[work.project[row]];
    if (!isPricedBy(project, table)) continue;
    if (work.isMaterial[row] === 1) {
      pricedFor(rateSubject({ materialId: plan.assignments[row].materialId }), project);
      continue;
    }
    const personId = plan.people[work.person[row]]?.id;
    const roleId = costRole(plan, work.role[row], work.person[row]);
    const stretches = book.labour(table, personId, roleId);
    const ids: Record<RateSource, Parameters<typeof rateSubject>[0]> = {
      person: { personId },
      role: { roleId },
      default: {},
      material: {},
    };
    for (const [{ entry }, minutes] of minutesBy(stretches, placements, row)) {
      if (!entry) continue;
      const use = pricedFor(rateSubject(ids[entry.of]), project);
      use.minutes += minutes;
      use.amount += minutes * entry.rate;
    }
  }
  return [...uses.values()].map((use) => ({ ...use, projects: [...use.projects], amount: Math.round(use.amount / 6000) }));
}

/** The minutes of a row that fall into each stretch of its rate, in the order of days. */
function minutesBy(stretches: readonly RateStretch[], { buffer, offset, length, start }: Placements, row: number) {
  const sums: [RateStretch, number][] = [];
  for (let i = 0; i < length[row]; i++) {
    const minutes = buffer.minutes[offset[row] + i];
    if (minutes === 0) continue;
    const stretch = stretchOn(stretches, start[row] + i);
    const last = sums.at(-1);
    if (last?.[0] === stretch) last[1] += minutes;
    else sums.push([stretch, minutes]);
  }
  return sums;
}

function isPricedBy({ stage, costTableId, billTableId, billing }: Project, { id, kind }: RateTable): boolean {
  if (stage === "cancelled") return false;
  return kind === "cost" ? costTableId === id : billing?.kind === "timeAndMaterials" && billTableId === id;
}
