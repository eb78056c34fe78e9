// The quantity of each material that is needed in each period, by project: how much to order, and by which day.
import { periodSettingsOf, wholePeriods } from "../calendar/horizon.ts";
import { periodOfDays, periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import { forAccrualDays, UNITS_DENOMINATOR, unitsOf } from "../cost/material.ts";
import { type Counting, countedShare, NOT_COUNTED } from "../load/counting.ts";
import type { Model } from "../model.ts";
import { findRow, rowById } from "../plan/rows.ts";
import type { Plan } from "../plan/schema.ts";
import { quotientHalfUp } from "../values/units.ts";

export interface MaterialRow {
  materialId: string;
  name: string;
  unit: string;
  /** Null for all projects together. */
  projectId: string | null;
  projectName: string;
  projectRow: number;
  /** Ten-thousandths of a unit by period, waste included; and over all of them. */
  periods: number[];
  total: number;
  /** The first day on which it is needed within the window; null where it is not. */
  firstDay: number | null;
}

export interface MaterialNeeds {
  periods: Range[];
  /** Each material, followed by the projects that use it. */
  rows: MaterialRow[];
}

/** Quantities with their waste by whole periods around a window, of projects that count. */
export function materialNeeds(model: Model, asked: ReportRange & { pipeline: Counting["pipeline"] }): MaterialNeeds {
  const { plan } = model;
  const { range, grain } = wholePeriods(plan, asked);
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const materials = rowById(plan.materials);
  const needs = needsOf(model, { range, grain, pipeline: asked.pipeline }, periodOfDays(range, periods), periods.length);
  const rows = needs.flatMap((need) => needRow(plan, need) ?? []);
  const placeOf = ({ materialId }: MaterialRow) => materials.get(materialId) ?? 0;
  rows.sort((a, b) => placeOf(a) - placeOf(b) || a.projectRow - b.projectRow);
  return { periods, rows };
}

/** The need of a material, of all projects or of one. */
interface Need {
  materialId: string;
  /** −1 for all projects. */
  projectRow: number;
  /** The first day that needs some. */
  first: number;
  /** By period, in parts of a unit. */
  exact: bigint[];
}

function needsOf(
  { plan, work, schedule }: Model,
  { range, pipeline }: ReportRange & { pipeline: Counting["pipeline"] },
  periodOf: Int32Array,
  periods: number,
): Need[] {
  const needs = new Map<string, Need>();
  for (let row = 0; row < work.assignments; row++) {
    const dates = work.isMaterial[row] === 1 ? schedule.of(work.task[row]) : null;
    const share = countedShare(plan.projects[work.project[row]], pipeline);
    if (!dates || share === NOT_COUNTED) continue;
    const { accrual = "start", materialId = "" } = plan.assignments[row];
    const units = unitsOf(plan.assignments[row], dates);
    for (const projectRow of [-1, work.project[row]]) {
      const key = `${materialId}\u0000${projectRow}`;
      const own = needs.get(key) ?? { materialId, projectRow, first: Number.POSITIVE_INFINITY, exact: new Array<bigint>(periods).fill(0n) };
      needs.set(key, own);
      forAccrualDays(dates, accrual, (day, ticks, total) => {
        if (day < range.start || day >= range.stop) return;
        own.first = Math.min(own.first, day);
        // Parts of a task are whole again over all of its days: the denominator is the same for each.
        own.exact[periodOf[day - range.start]] += (units * BigInt(ticks) * BigInt(share) * SCALE) / BigInt(total);
      });
    }
  }
  return [...needs.values()];
}

/** A need as it is shown; null where it is empty. */
function needRow(plan: Plan, { materialId, projectRow, first, exact }: Need): MaterialRow | null {
  const material = findRow(plan.materials, materialId);
  if (!material || exact.every((own) => own === 0n)) return null;
  const inUnits = (own: bigint) => Number(quotientHalfUp(own, UNITS_DENOMINATOR * SCALE));
  return {
    materialId,
    name: material.name,
    unit: material.unit,
    projectId: plan.projects[projectRow]?.id ?? null,
    projectName: plan.projects[projectRow]?.name ?? "",
    projectRow,
    periods: exact.map(inUnits),
    total: inUnits(exact.reduce((sum, own) => sum + own, 0n)),
    firstDay: Number.isFinite(first) ? first : null,
  };
}

/** Keeps parts of a unit exact far below what is shown. */
const SCALE = 1_000_000n;
