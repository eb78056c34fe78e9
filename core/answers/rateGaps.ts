// People and materials without a rate, by table, so that each gap can be filled in its table.
import { costRole, type RateStretch, rateBookOf, stretchOn } from "../cost/rateBook.ts";
import type { Model } from "../model.ts";
import { findRow } from "../plan/rows.ts";

export interface RateGap {
  tableId: string;
  tableName: string;
  /** The subject of the missing rate. */
  of: { personId?: string; roleId?: string; materialId?: string };
  name: string;
  projects: string[];
  /** The first day on which there is work and no rate. */
  from: number;
}

/** Gaps in the cost tables of projects that are not cancelled; the most projects first. */
export function rateGaps(model: Model): RateGap[] {
  const { plan, work, schedule } = model;
  const book = rateBookOf(plan);
  const gaps = new Map<string, RateGap>();
  for (let row = 0; row < work.rows; row++) {
    const project = plan.projects[work.project[row]];
    const table = project.stage === "cancelled" ? undefined : book.table(project.costTableId);
    if (!table) continue;
    const isMaterial = work.isMaterial[row] === 1;
    const materialId = isMaterial ? plan.assignments[row].materialId : undefined;
    const person = plan.people[work.person[row]];
    const roleId = costRole(plan, work.role[row], work.person[row]);
    const stretches = isMaterial ? book.material(table, materialId ?? "") : book.labour(table, person?.id, roleId);
    const day = isMaterial ? (schedule.of(work.task[row])?.start.day ?? null) : firstDayWithout(model, row, stretches);
    if (day === null || (isMaterial && stretchOn(stretches, day).entry)) continue;
    const of = isMaterial
      ? { materialId }
      : roleId === undefined
        ? { personId: person?.id }
        : person
          ? { personId: person.id }
          : { roleId };
    const name = findRow(plan.materials, of.materialId)?.name ?? person?.name ?? findRow(plan.roles, roleId)?.name ?? "No role";
    const key = `${table.id} ${JSON.stringify(of)}`;
    const known = gaps.get(key);
    if (!known) gaps.set(key, { tableId: table.id, tableName: table.name, of, name, projects: [project.name], from: day });
    else {
      if (!known.projects.includes(project.name)) known.projects.push(project.name);
      known.from = Math.min(known.from, day);
    }
  }
  return [...gaps.values()].sort((a, b) => b.projects.length - a.projects.length || a.from - b.from);
}

/** The first day on which a row of work has hours and no rate. */
function firstDayWithout({ placements }: Model, row: number, stretches: readonly RateStretch[]): number | null {
  for (let i = 0; i < placements.length[row]; i++) {
    const day = placements.start[row] + i;
    if (placements.buffer.minutes[placements.offset[row] + i] > 0 && !stretchOn(stretches, day).entry) return day;
  }
  return null;
}
