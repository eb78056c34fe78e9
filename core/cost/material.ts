// The cost or revenue of material: its quantity with waste, at the unit price of the day of use.
import type { Day } from "../calendar/day.ts";
import { TICKS_PER_DAY } from "../calendar/workingLine.ts";
import type { Placed } from "../placing/placed.ts";
import type { Assignment, RateTable, Task } from "../plan/schema.ts";
import type { TaskDates } from "../schedule/dates.ts";
import { forWorkingDays } from "../schedule/parts.ts";
import { known } from "../values/lookUp.ts";
import { percentHundredths, rateUnits } from "../values/units.ts";
import type { ExactLine } from "./exactLine.ts";
import { type MissingRates, type RateBook, stretchOn } from "./rateBook.ts";

type Accrual = NonNullable<Task["fixedCostAccrual"]>;

/** Visits the days on which an amount accrues, each with its share as ticks of `total`. */
export function forAccrualDays(dates: TaskDates, accrual: Accrual, visit: (day: Day, ticks: number, total: number) => void): void {
  const total = dates.finishAt - dates.startAt;
  if (accrual === "end") visit(dates.finish.day, 1, 1);
  else if (accrual === "start" || total === 0 || dates.isIdlePin) visit(dates.start.day, 1, 1);
  else forWorkingDays(dates, (day, ticks) => visit(day, ticks, total));
}

/** The denominator of `unitsOf`: parts of a unit. */
export const UNITS_DENOMINATOR = BigInt(TICKS_PER_DAY) * 10_000n * 10_000n;

/** All of a material that a task uses, with its waste: ten-thousandths of a unit × ticks of a day × ten-thousandths. */
export function unitsOf({ quantity, quantityPerDay = 0, wastePercent = 0 }: Assignment, dates: TaskDates): bigint {
  const workedTicks = dates.isIdlePin ? 0 : dates.finishAt - dates.startAt;
  const all =
    quantity === undefined ? BigInt(rateUnits(quantityPerDay)) * BigInt(workedTicks) : BigInt(rateUnits(quantity)) * BigInt(TICKS_PER_DAY);
  return all * BigInt(10_000 + percentHundredths(wastePercent));
}

/** Adds a material to a line.
 * @returns What the days it is used on lack: those without a price, or without an exchange rate, cost nothing. */
export function addMaterial(
  model: Placed,
  row: number,
  table: RateTable | undefined,
  book: RateBook,
  isPerUseCharged: boolean,
  line: ExactLine,
): MissingRates {
  const assignment: Assignment = model.plan.assignments[row];
  const dates = model.schedule.of(model.work.task[row]);
  const missing: MissingRates = { rate: false, exchange: false };
  if (!dates) return missing;
  if (!table) return { ...missing, rate: true };
  const prices = book.material(table, known(assignment.materialId, "material of a line"));
  const exchange = book.exchange(table);
  const withWaste = unitsOf(assignment, dates);
  let isFirst = true;
  forAccrualDays(dates, assignment.accrual ?? "start", (day, ticks, total) => {
    const { entry } = stretchOn(prices, day);
    const { factor } = stretchOn(exchange, day);
    if (!entry) missing.rate = true;
    else if (factor === null) missing.exchange = true;
    else {
      const denominator = UNITS_DENOMINATOR * 100n * 1_000_000n * BigInt(total);
      line.add(line.slotOf(day), withWaste * BigInt(entry.rate) * factor * BigInt(ticks), denominator);
      if (isFirst && isPerUseCharged) line.add(line.slotOf(day), BigInt(entry.perUse) * factor, 1_000_000n);
    }
    isFirst = false;
  });
  return missing;
}
