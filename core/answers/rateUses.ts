// What the rates of a table price: which projects, how many hours, how much.
import { costRole, type RateSource, rateBookOf, stretchOn } from "../cost/rateBook.ts";
import type { Model } from "../model.ts";
import { rateSubject } from "../plan/rateSubject.ts";
import { findRow } from "../plan/rows.ts";
import type { Project, RateTable } from "../plan/schema.ts";

export interface RateUse {
  /** Such as "role designer"; of everybody else "default". */
  subject: string;
  projects: string[];
  /** Minutes priced; of a material 0. */
  minutes: number;
  /** Minor units of the table's currency, overtime at the plain rate; of a material 0. */
  amount: number;
}

/** By whom or what a rate is for, over the whole plan; of projects that are not cancelled. */
export function rateUses(model: Model, { tableId }: { tableId: string }): RateUse[] {
  const { plan, work, placements } = model;
  const table = findRow(plan.rateTables, tableId);
  if (!table) return [];
  const book = rateBookOf(plan);
  const uses = new Map<string, RateUse>();
  const pricedFor = (subject: string, { name }: Project) => {
    const use = uses.get(subject) ?? { subject, projects: [], minutes: 0, amount: 0 };
    uses.set(subject, use);
    if (!use.projects.includes(name)) use.projects.push(name);
    return use;
  };
  for (let row = 0; row < work.rows; row++) {
    const project = plan.projects[work.project[row]];
    if (!isPricedBy(project, table)) continue;
    const materialId = plan.assignments[row]?.materialId;
    if (work.isMaterial[row] === 1) {
      pricedFor(rateSubject({ materialId }), project);
      continue;
    }
    const personId = plan.people[work.person[row]]?.id;
    const roleId = costRole(plan, work.role[row], work.person[row]);
    const stretches = book.labour(table, personId, roleId);
    const ids: Record<RateSource, Parameters<typeof rateSubject>[0]> = {
      person: { personId },
      role: { roleId },
      default: {},
      material: { materialId },
    };
    for (let i = 0; i < placements.length[row]; i++) {
      const minutes = placements.buffer.minutes[placements.offset[row] + i];
      const { entry } = minutes > 0 ? stretchOn(stretches, placements.start[row] + i) : { entry: null };
      if (!entry) continue;
      const use = pricedFor(rateSubject(ids[entry.of]), project);
      use.minutes += minutes;
      use.amount += (minutes * entry.rate) / 6000;
    }
  }
  return [...uses.values()].map((use) => ({ ...use, amount: Math.round(use.amount) }));
}

function isPricedBy({ stage, costTableId, billTableId, billing }: Project, { id, kind }: RateTable): boolean {
  if (stage === "cancelled") return false;
  return kind === "cost" ? costTableId === id : billing?.kind === "timeAndMaterials" && billTableId === id;
}
