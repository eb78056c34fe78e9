// A cost line: exact until it is read; its running total alone is rounded, so that parts always add up.
import type { Day } from "../calendar/day.ts";
import type { Range } from "../calendar/periods.ts";

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
  /** One entry a run of amounts: 0 before the range, p + 1 in period p; numerator / denominator minor units. */
  readonly #slots: number[] = [];
  /** Numerators over `#denominator` while all are small; null once one is not. */
  #small: number[] | null = [];
  #denominator = 0;
  readonly #numerators: bigint[] = [];
  readonly #denominators: bigint[] = [];
  #isInOrder = true;

  constructor(periods: CostPeriods) {
    this.#periods = periods;
  }

  /** Empties the line, for the next amounts. */
  reset(): void {
    this.#slots.length = 0;
    this.#numerators.length = 0;
    this.#denominators.length = 0;
    this.#denominator = 0;
    this.#isInOrder = true;
    if (this.#small) this.#small.length = 0;
    else this.#small = [];
  }

  /** Where a day's amount goes: 0 before the range, p + 1 in period p, −1 after it. */
  slotOf(day: Day): number {
    const { range, periodOf } = this.#periods;
    if (day < range.start) return 0;
    return day < range.stop ? periodOf[day - range.start] + 1 : -1;
  }

  /** Adds numerator / denominator minor units in a slot. */
  add(slot: number, numerator: bigint, denominator: bigint): void {
    if (slot < 0 || numerator === 0n) return;
    if (this.#small) this.#becomeLarge(this.#small);
    const last = this.#slots.length - 1;
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
    if (!this.#small || (this.#denominator !== denominator && this.#denominator !== 0)) {
      this.add(slot, BigInt(numerator), BigInt(denominator));
      return;
    }
    this.#denominator = denominator;
    const last = this.#slots.length - 1;
    const sum = last >= 0 && this.#slots[last] === slot ? this.#small[last] + numerator : null;
    if (sum !== null && Number.isSafeInteger(sum)) this.#small[last] = sum;
    else {
      this.#enter(slot);
      this.#small.push(numerator);
    }
  }

  #enter(slot: number): void {
    const last = this.#slots.length - 1;
    if (last >= 0 && this.#slots[last] > slot) this.#isInOrder = false;
    this.#slots.push(slot);
  }

  #becomeLarge(small: readonly number[]): void {
    for (const numerator of small) {
      this.#numerators.push(BigInt(numerator));
      this.#denominators.push(BigInt(this.#denominator));
    }
    this.#small = null;
  }

  /** Adds the minor units of each period to `into`: the rounded running total at its end less that at its start.
   * @returns Their sum over the range. */
  addTo(into: number[]): number {
    const small = this.#small;
    if (small && areSumsExact(small, this.#denominator))
      return this.#isInOrder ? this.#addInOrder(small, into) : this.#addSorted(small, into);
    if (small) this.#becomeLarge(small);
    return this.#addLarge(into);
  }

  #addInOrder(small: readonly number[], into: number[]): number {
    const [slots, denominator] = [this.#slots, this.#denominator];
    let [cum, rounded, before] = [0, 0, 0];
    for (let k = 0; k < slots.length; k++) {
      cum += small[k];
      const slot = slots[k];
      if (slots[k + 1] === slot) continue;
      const upTo = roundedSmall(cum, denominator);
      if (slot === 0) before = upTo;
      else into[slot - 1] += upTo - rounded;
      rounded = upTo;
    }
    return rounded - before;
  }

  /** Of many rows one after the other: their sums by slot first. */
  #addSorted(small: readonly number[], into: number[]): number {
    const sums = new Float64Array(this.#periods.periods.length + 1);
    for (let k = 0; k < small.length; k++) sums[this.#slots[k]] += small[k];
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
    const order = this.#slots.map((_, at) => at);
    if (!this.#isInOrder) order.sort((a, b) => this.#slots[a] - this.#slots[b]);
    const denominator = [...new Set(this.#denominators)].reduce(leastCommonMultiple, 1n);
    let cum = 0n;
    let rounded = 0n;
    let before = 0n;
    order.forEach((at, k) => {
      cum += this.#numerators[at] * (denominator / this.#denominators[at]);
      const slot = this.#slots[at];
      if (k + 1 < order.length && this.#slots[order[k + 1]] === slot) return;
      const upTo = roundedHalfUp(cum, denominator);
      if (slot === 0) before = upTo;
      else into[slot - 1] += Number(upTo - rounded);
      rounded = upTo;
    });
    return Number(rounded - before);
  }
}

/** True where every running total and its rounding are exact in plain numbers. A quotient of safe integers rounds down right: it
 * is further from the next whole number than a float of its size can be off. */
function areSumsExact(small: readonly number[], denominator: number): boolean {
  let most = denominator;
  for (const numerator of small) most += 2 * Math.abs(numerator);
  return most < Number.MAX_SAFE_INTEGER;
}

const roundedSmall = (numerator: number, denominator: number): number => Math.floor((2 * numerator + denominator) / (2 * denominator));

/** numerator / denominator rounded half up. */
export function roundedHalfUp(numerator: bigint, denominator: bigint): bigint {
  const doubled = 2n * numerator + denominator;
  const quotient = doubled / (2n * denominator);
  return doubled < 0n && quotient * 2n * denominator !== doubled ? quotient - 1n : quotient;
}

function leastCommonMultiple(a: bigint, b: bigint): bigint {
  let [x, y] = [a, b];
  while (y !== 0n) [x, y] = [y, x % y];
  return (a / x) * b;
}
