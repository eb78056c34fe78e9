// The cost or revenue of labour: minutes of each day at the rate in force.
import type { Day } from "../calendar/day.ts";
import type { Placed } from "../placing/placed.ts";
import type { RateTable } from "../plan/schema.ts";
import { quotientHalfUp } from "../values/units.ts";
import type { ExactLine } from "./exactLine.ts";
import type { OvertimeBook } from "./overtime.ts";
import {
  costRole,
  type ExchangeStretch,
  LACKS_NOTHING,
  type MissingRates,
  type RateBook,
  type RateStretch,
  stretchOn,
} from "./rateBook.ts";

/** minutes × ten-thousandths per hour × millionths of exchange, as a fraction of a minor unit. */
export const LABOUR_DENOMINATOR = 60n * 100n * 1_000_000n;

/** In the plan's own currency: minutes × ten-thousandths per hour. */
const OWN_CURRENCY = 1_000_000n;
const SMALL_DENOMINATOR = 60 * 100;

/** The pricing of the minutes of a row. */
export interface LabourPricing {
  table: RateTable | undefined;
  book: RateBook;
  /** Overtime minutes at their own rate; without it, all at the plain rate. */
  overtime?: OvertimeBook;
  /** True if the charge per use is added on the first day. */
  isPerUseCharged: boolean;
}

/** Adds the labour of a row of work to a line.
 * @returns What the days with work lack: those without a rate, or without an exchange rate, cost nothing. */
export function addLabour(model: Placed, row: number, pricing: LabourPricing, line: ExactLine): MissingRates {
  const { placements, work, plan } = model;
  if (placements.placed[row] === 0) return LACKS_NOTHING;
  if (!pricing.table) return { rate: true, exchange: false };
  const prices = new Prices(
    pricing.book.labour(pricing.table, plan.people[work.person[row]]?.id, costRole(plan, work.role[row], work.person[row])),
    pricing.book.exchange(pricing.table),
  );
  const overtime = pricing.overtime?.of(row);
  const { minutes } = placements.buffer;
  const [start, stop] = [placements.start[row], placements.start[row] + placements.length[row]];
  const shift = placements.offset[row] - start;
  let isRateMissing = false;
  let isExchangeMissing = false;
  let isFirst = true;
  for (let day = start; day < stop; ) {
    if (minutes[day + shift] === 0) {
      day++;
      continue;
    }
    prices.moveTo(day);
    const { entry, factor } = prices;
    const last = Math.min(stop, prices.stop);
    if (!entry) isRateMissing = true;
    else if (factor === null) isExchangeMissing = true;
    else {
      const isPlain = !overtime && factor === OWN_CURRENCY;
      if (!isPlain || !line.addProducts(minutes, shift, day, last, entry.rate, SMALL_DENOMINATOR))
        addBySlot({ minutes, shift, overtime }, day, last, entry, factor, line);
      if (isFirst && pricing.isPerUseCharged && entry.perUse > 0) addPerUse(entry.perUse, factor, line.slotOf(day), line);
    }
    isFirst = false;
    day = last;
  }
  return isRateMissing || isExchangeMissing ? { rate: isRateMissing, exchange: isExchangeMissing } : LACKS_NOTHING;
}

const nextFrom = (stretches: readonly { from: Day }[], at: number): Day => stretches[at + 1]?.from ?? Number.POSITIVE_INFINITY;

/** Rate and exchange rate in force, for days that are asked for in their order. */
class Prices {
  entry: RateStretch["entry"] = null;
  factor: ExchangeStretch["factor"] = null;
  /** The first day on which either changes. */
  stop = Number.NEGATIVE_INFINITY;
  #rate = 0;
  #exchange = 0;

  constructor(
    private readonly stretches: readonly RateStretch[],
    private readonly exchange: readonly ExchangeStretch[],
  ) {}

  moveTo(day: Day): void {
    if (day < this.stop) return;
    while (day >= nextFrom(this.stretches, this.#rate)) this.#rate++;
    while (day >= nextFrom(this.exchange, this.#exchange)) this.#exchange++;
    this.entry = this.stretches[this.#rate].entry;
    this.factor = this.exchange[this.#exchange].factor;
    this.stop = Math.min(nextFrom(this.stretches, this.#rate), nextFrom(this.exchange, this.#exchange));
  }
}

/** @param perUse Minor units of the table's currency. */
function addPerUse(perUse: number, factor: bigint, slot: number, line: ExactLine): void {
  if (factor === OWN_CURRENCY) line.addProduct(slot, perUse, SMALL_DENOMINATOR, SMALL_DENOMINATOR);
  else line.add(slot, BigInt(perUse) * factor, 1_000_000n);
}

interface Worked {
  /** minutes[day + shift] */
  minutes: Int32Array;
  shift: number;
  overtime: ReadonlyMap<Day, number> | undefined;
}

/** Adds the minutes of [from, to) at one rate, slot by slot. */
function addBySlot(
  { minutes, shift, overtime }: Worked,
  from: Day,
  to: Day,
  entry: NonNullable<RateStretch["entry"]>,
  factor: bigint,
  line: ExactLine,
): void {
  for (let day = from; day < to; ) {
    const slot = line.slotOf(day);
    const last = Math.min(to, line.stopOf(slot));
    let [all, over] = [0, 0];
    for (; day < last; day++) {
      all += minutes[day + shift];
      over += overtime?.get(day) ?? 0;
    }
    addMinutes(all - over, over, entry, factor, slot, line);
  }
}

/** Adds minutes at one rate to a slot; big numbers only where plain ones are not exact. */
function addMinutes(
  regular: number,
  overtime: number,
  { rate, overtimeRate }: NonNullable<RateStretch["entry"]>,
  factor: bigint,
  slot: number,
  line: ExactLine,
): void {
  const small = regular * rate + overtime * overtimeRate;
  if (factor === OWN_CURRENCY && Number.isSafeInteger(small)) {
    line.addSmall(slot, small, SMALL_DENOMINATOR);
    return;
  }
  const units = BigInt(regular) * BigInt(rate) + BigInt(overtime) * BigInt(overtimeRate);
  line.add(slot, units * factor, LABOUR_DENOMINATOR);
}

/** The cost of minutes by day at the standard rate in force on each, rounded once to minor units; a day without a rate, or
 * without an exchange rate, costs nothing. */
export function costOfMinutes(
  stretches: readonly RateStretch[],
  exchange: readonly ExchangeStretch[],
  start: Day,
  minutes: Int32Array,
): number {
  let sum = 0n;
  let at = 0;
  for (let i = 0; i < minutes.length; i++) {
    if (minutes[i] === 0) continue;
    while (start + i >= nextFrom(stretches, at)) at++;
    const rate = stretches[at]?.entry?.rate ?? 0;
    if (rate > 0) sum += BigInt(minutes[i]) * BigInt(rate) * (stretchOn(exchange, start + i).factor ?? 0n);
  }
  return Number(quotientHalfUp(sum, LABOUR_DENOMINATOR));
}
