// A cost line: exact until it is read; its running total alone is rounded, so that parts always add up.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";
import { quotientHalfUp } from "../values/units.ts";

/** The periods that amounts are read in. */
export interface CostPeriods {
  range: Range;
  periods: readonly Range[];
  /** periodOf[day − range.start] → period. */
  periodOf: Int32Array;
}

/** Exact amounts in minor units as fractions, in the periods they fall into. Plain numbers over one denominator as long as those
 * are exact; big ones from then on. */
export class ExactLine {
  readonly #periods: CostPeriods;
  /** Number of runs of amounts. */
  #runs = 0;
  /** One entry a run of amounts: 0 before the range, p + 1 in period p; numerator / denominator minor units. */
  #slots = new Int32Array(64);
  /** Numerators over `#denominator` while all are small. */
  #small = new Float64Array(64);
  #isSmall = true;
  #denominator = 0;
  /** Twice what all small numerators result in at most. With the denominator below the greatest safe integer, every running total
   * and its rounding are exact. */
  #most = 0;
  #numerators: bigint[] = [];
  #denominators: bigint[] = [];
  #isInOrder = true;

  constructor(periods: CostPeriods) {
    this.#periods = periods;
  }

  /** Empties the line, for the next amounts. */
  reset(): void {
    this.#runs = 0;
    this.#denominator = 0;
    this.#most = 0;
    this.#isInOrder = true;
    if (this.#isSmall) return;
    this.#isSmall = true;
    this.#numerators = [];
    this.#denominators = [];
  }

  get isEmpty(): boolean {
    return this.#runs === 0;
  }

  /** The slot of a day's amount: 0 before the range, p + 1 in period p, −1 after it. */
  slotOf(day: Day): number {
    const { range, periodOf } = this.#periods;
    if (day < range.start) return 0;
    return day < range.stop ? periodOf[day - range.start] + 1 : -1;
  }

  /** The first day after a slot; for days after the range there is none. */
  stopOf(slot: number): Day {
    if (slot < 0) return Number.POSITIVE_INFINITY;
    return slot === 0 ? this.#periods.range.start : this.#periods.periods[slot - 1].stop;
  }

  /** Adds numerator / denominator minor units in a slot. */
  add(slot: number, numerator: bigint, denominator: bigint): void {
    if (slot < 0 || numerator === 0n) return;
    if (this.#isSmall) this.#becomeLarge();
    const last = this.#runs - 1;
    if (last >= 0 && this.#slots[last] === slot && this.#denominators[last] === denominator) {
      this.#numerators[last] += numerator;
      return;
    }
    this.#enter(slot);
    this.#numerators.push(numerator);
    this.#denominators.push(denominator);
  }

  /** The same of whole numbers that are exact: safe integers. */
  addSmall(slot: number, numerator: number, denominator: number): void {
    if (slot < 0 || numerator === 0) return;
    if (this.#staysSmall(2 * Math.abs(numerator), denominator)) this.#put(slot, numerator);
    else this.add(slot, BigInt(numerator), BigInt(denominator));
  }

  /** Adds a × b / denominator minor units in a slot, of whole numbers. */
  addProduct(slot: number, a: number, b: number, denominator: number): void {
    if (Number.isSafeInteger(a * b)) this.addSmall(slot, a * b, denominator);
    else this.add(slot, BigInt(a) * BigInt(b), BigInt(denominator));
  }

  /** Takes note of more small numerators. @param more Twice what they result in at most.
   * @returns False where the line would no longer be exact in plain numbers: nothing is noted then. */
  #staysSmall(more: number, denominator: number): boolean {
    const most = this.#most + more;
    if (!this.#isSmall || most + denominator > Number.MAX_SAFE_INTEGER || (this.#denominator !== denominator && this.#denominator !== 0))
      return false;
    this.#denominator = denominator;
    this.#most = most;
    return true;
  }

  /** Adds amounts[day + shift] × factor / denominator minor units on each day of [from, to), all of them together where that
   * is exact. @returns False where it is not: nothing was added. */
  addProducts(amounts: Int32Array, shift: number, from: Day, to: Day, factor: number, denominator: number): boolean {
    let sum = 0;
    for (let day = from; day < to; day++) sum += amounts[day + shift];
    if (!this.#staysSmall(2 * sum * factor, denominator)) return false;
    const { range, periodOf } = this.#periods;
    const [first, last] = [Math.max(from, range.start), Math.min(to, range.stop)];
    let slot = 0;
    let own = 0;
    for (let day = from; day < first && day < to; day++) own += amounts[day + shift];
    for (let day = first; day < last; day++) {
      const next = periodOf[day - range.start] + 1;
      if (next !== slot) {
        if (own !== 0) this.#put(slot, own * factor);
        slot = next;
        own = 0;
      }
      own += amounts[day + shift];
    }
    if (own !== 0) this.#put(slot, own * factor);
    return true;
  }

  #put(slot: number, numerator: number): void {
    const last = this.#runs - 1;
    if (last >= 0 && this.#slots[last] === slot) this.#small[last] += numerator;
    else {
      this.#enter(slot);
      this.#small[last + 1] = numerator;
    }
  }

  #enter(slot: number): void {
    const run = this.#runs++;
    if (run > 0 && this.#slots[run - 1] > slot) this.#isInOrder = false;
    if (run === this.#slots.length) {
      this.#slots = grown(this.#slots, new Int32Array(2 * run));
      this.#small = grown(this.#small, new Float64Array(2 * run));
    }
    this.#slots[run] = slot;
  }

  #becomeLarge(): void {
    for (let run = 0; run < this.#runs; run++) {
      this.#numerators.push(BigInt(this.#small[run]));
      this.#denominators.push(BigInt(this.#denominator));
    }
    this.#isSmall = false;
  }

  /** Adds the minor units of each period to `into`: the rounded running total at its end less that at its start.
   * @returns Their sum over the range. */
  addTo(into: number[]): number {
    if (!this.#isSmall) return this.#addLarge(into);
    return this.#isInOrder ? this.#addInOrder(into) : this.#addSorted(into);
  }

  #addInOrder(into: number[]): number {
    const slots = this.#slots;
    const small = this.#small;
    const runs = this.#runs;
    const denominator = this.#denominator;
    let cum = 0;
    let rounded = 0;
    let before = 0;
    for (let k = 0; k < runs; k++) {
      cum += small[k];
      const slot = slots[k];
      if (k + 1 < runs && slots[k + 1] === slot) continue;
      const upTo = roundedSmall(cum, denominator);
      if (slot === 0) before = upTo;
      else into[slot - 1] += upTo - rounded;
      rounded = upTo;
    }
    return rounded - before;
  }

  /** Of many rows one after the other: their sums by slot first. */
  #addSorted(into: number[]): number {
    const sums = new Float64Array(this.#periods.periods.length + 1);
    for (let k = 0; k < this.#runs; k++) sums[this.#slots[k]] += this.#small[k];
    const denominator = this.#denominator;
    let [cum, rounded] = [sums[0], roundedSmall(sums[0], denominator)];
    const before = rounded;
    for (let slot = 1; slot < sums.length; slot++) {
      if (sums[slot] === 0) continue;
      cum += sums[slot];
      const upTo = roundedSmall(cum, denominator);
      into[slot - 1] += upTo - rounded;
      rounded = upTo;
    }
    return rounded - before;
  }

  #addLarge(into: number[]): number {
    const order = Array.from({ length: this.#runs }, (_, at) => at);
    if (!this.#isInOrder) order.sort((a, b) => this.#slots[a] - this.#slots[b]);
    const denominator = [...new Set(this.#denominators)].reduce(leastCommonMultiple, 1n);
    let cum = 0n;
    let rounded = 0n;
    let before = 0n;
    order.forEach((at, k) => {
      cum += this.#numerators[at] * (denominator / this.#denominators[at]);
      const slot = this.#slots[at];
      if (k + 1 < order.length && this.#slots[order[k + 1]] === slot) return;
      const upTo = quotientHalfUp(cum, denominator);
      if (slot === 0) before = upTo;
      else into[slot - 1] += Number(upTo - rounded);
      rounded = upTo;
    });
    return Number(rounded - before);
  }
}

function grown<T extends Int32Array | Float64Array>(old: T, larger: T): T {
  larger.set(old);
  return larger;
}

/** Of numbers that are exact, doubled too. A quotient of safe integers rounds down right: it is further from the next whole number
 * than a float of its size can be off. */
const roundedSmall = (numerator: number, denominator: number): number => Math.floor((2 * numerator + denominator) / (2 * denominator));

function leastCommonMultiple(a: bigint, b: bigint): bigint {
  let [x, y] = [a, b];
  while (y !== 0n) [x, y] = [y, x % y];
  return (a / x) * b;
}
