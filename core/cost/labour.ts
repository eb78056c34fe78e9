// What labour costs, or earns: minutes of each day at the rate in force.
import type { Day } from "../calendar/day.ts";
import type { Placed } from "../placing/placed.ts";
import type { RateTable } from "../plan/schema.ts";
import { type ExactLine, roundedHalfUp } from "./exactLine.ts";
import type { OvertimeBook } from "./overtime.ts";
import { costRole, type ExchangeStretch, type Lacks, type RateBook, type RateStretch, stretchOn } from "./rateBook.ts";

/** minutes × ten-thousandths per hour × millionths of exchange, as a fraction of a minor unit. */
export const LABOUR_DENOMINATOR = 60n * 100n * 1_000_000n;

/** In the plan's own currency: minutes × ten-thousandths per hour. */
const OWN_CURRENCY = 1_000_000n;
const SMALL_DENOMINATOR = 60 * 100;

/** How the minutes of a row are priced. */
export interface LabourPricing {
  table: RateTable | undefined;
  book: RateBook;
  /** Overtime minutes at their own rate; without it, all at the plain rate. */
  overtime?: OvertimeBook;
  /** Whether the charge per use is added on the first day. */
  isPerUseCharged: boolean;
}

/** Adds the labour of a row of work to a line.
 * @returns What the days with work lack: those without a rate, or without an exchange rate, cost nothing. */
export function addLabour(model: Placed, row: number, pricing: LabourPricing, line: ExactLine): Lacks {
  const { placements, work, plan } = model;
  const days = placements.length[row];
  const lacks: Lacks = { rate: false, exchange: false };
  if (placements.placed[row] === 0) return lacks;
  if (!pricing.table) return { ...lacks, rate: true };
  const table = pricing.table;
  const stretches = pricing.book.labour(table, plan.people[work.person[row]]?.id, costRole(plan, work.role[row], work.person[row]));
  const exchange = pricing.book.exchange(table);
  const only = exchange.length === 1 ? exchange[0] : null;
  const overtime = pricing.overtime?.of(row);
  const { minutes: all } = placements.buffer;
  const [offset, start] = [placements.offset[row], placements.start[row]];
  const tally = new Tally(line);
  let isFirst = true;
  let at = 0;
  let stretchStop = at < stretches.length ? nextFrom(stretches, 0) : 0;
  for (let i = 0; i < days; i++) {
    const minutes = all[offset + i];
    if (minutes === 0) continue;
    const day = start + i;
    while (day >= stretchStop) {
      at++;
      stretchStop = nextFrom(stretches, at);
    }
    const { entry } = stretches[at];
    const factor = (only ?? stretchOn(exchange, day)).factor;
    if (!entry) lacks.rate = true;
    else if (factor === null) lacks.exchange = true;
    else {
      const slot = line.slotOf(day);
      tally.add(slot, minutes, overtime?.get(day) ?? 0, entry, factor);
      if (isFirst && pricing.isPerUseCharged && entry.perUse > 0) line.add(slot, BigInt(entry.perUse) * factor, 1_000_000n);
    }
    isFirst = false;
  }
  tally.flush();
  return lacks;
}

function nextFrom(stretches: readonly RateStretch[], at: number): Day {
  return at + 1 < stretches.length ? stretches[at + 1].from : Number.POSITIVE_INFINITY;
}

/** Sums minutes as plain numbers while slot, rate and exchange stay the same, so that big numbers are rare. */
class Tally {
  readonly #line: ExactLine;
  #slot = -1;
  #entry: RateStretch["entry"] = null;
  #factor = 0n;
  #regular = 0;
  #overtime = 0;

  constructor(line: ExactLine) {
    this.#line = line;
  }

  add(slot: number, minutes: number, overtime: number, entry: NonNullable<RateStretch["entry"]>, factor: bigint): void {
    if (slot !== this.#slot || entry !== this.#entry || factor !== this.#factor) {
      this.flush();
      [this.#slot, this.#entry, this.#factor] = [slot, entry, factor];
    }
    this.#regular += minutes - overtime;
    this.#overtime += overtime;
  }

  flush(): void {
    if (this.#entry) {
      const { rate, overtimeRate } = this.#entry;
      const small = this.#regular * rate + this.#overtime * overtimeRate;
      if (this.#factor === OWN_CURRENCY && Number.isSafeInteger(small)) this.#line.addSmall(this.#slot, small, SMALL_DENOMINATOR);
      else {
        const units = BigInt(this.#regular) * BigInt(rate) + BigInt(this.#overtime) * BigInt(overtimeRate);
        this.#line.add(this.#slot, units * this.#factor, LABOUR_DENOMINATOR);
      }
    }
    [this.#regular, this.#overtime] = [0, 0];
  }
}

/** What minutes by day cost at the standard rate in force on each, rounded once to minor units; a day without a rate,
 * or without an exchange rate, costs nothing. @param start The day of `minutes[0]`. */
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
  return Number(roundedHalfUp(sum, LABOUR_DENOMINATOR));
}
