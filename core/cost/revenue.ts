// The revenue of a project: its fee by the hours worked, or its time and materials at bill rates.
import type { Placed } from "../placing/placed.ts";
import { minorUnits } from "../values/units.ts";
import type { ExactLine } from "./exactLine.ts";
import { addLabour } from "./labour.ts";
import { addMaterial } from "./material.ts";
import type { MissingRates, RateBook } from "./rateBook.ts";

/** Adds a project's revenue to a line.
 * @param rows Rows of work of the project.
 * @param added Hears of each row after it has been added, of labour with what its bill rates lack (material without a bill
 * price earns nothing); of −1 for a fee that falls on the finish. */
export function addRevenue(
  model: Placed,
  project: number,
  rows: Int32Array,
  book: RateBook,
  line: ExactLine,
  added: (row: number, missing: MissingRates | null) => void,
): void {
  const { billing, billTableId } = model.plan.projects[project];
  if (billing?.kind === "fixedFee") addFee(model, project, rows, minorUnits(billing.fee ?? 0), line, added);
  if (billing?.kind !== "timeAndMaterials") return;
  const table = book.table(billTableId);
  const pricing = { table, book, isPerUseCharged: false };
  for (const row of rows) {
    if (model.work.isMaterial[row] === 1) {
      addMaterial(model, row, table, book, false, line);
      added(row, null);
    } else added(row, addLabour(model, row, pricing, line));
  }
}

function addFee(
  model: Placed,
  project: number,
  rows: Int32Array,
  fee: number,
  line: ExactLine,
  added: (row: number, missing: null) => void,
): void {
  const { placements, schedule } = model;
  const total = rows.reduce((sum, row) => sum + placements.placed[row], 0);
  if (total === 0) {
    line.add(line.slotOf(schedule.projects[project].finish.day), BigInt(fee), 1n);
    added(-1, null);
    return;
  }
  for (const row of rows) {
    const { minutes } = placements.buffer;
    const [offset, start, days] = [placements.offset[row], placements.start[row], placements.length[row]];
    let [slot, sum] = [-1, 0];
    const put = () => line.addProduct(slot, fee, sum, total);
    for (let i = 0; i < days; i++) {
      if (minutes[offset + i] === 0) continue;
      const next = line.slotOf(start + i);
      if (next !== slot) {
        put();
        [slot, sum] = [next, 0];
      }
      sum += minutes[offset + i];
    }
    put();
    added(row, null);
  }
}
