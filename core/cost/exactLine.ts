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

/** Exact amounts in minor units as fractions, in the periods they fall into. */
export class ExactLine {
  readonly #periods: CostPeriods;
  /** One entry a run of amounts: 0 before the range, p + 1 in period p; numerator / denominator minor units. */
  readonly #slots: number[] = [];
  readonly #numerators: bigint[] = [];
  readonly #denominators: bigint[] = [];
  #isInOrder = true;

  constructor(periods: CostPeriods) {
    this.#periods = periods;
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
    const last = this.#slots.length - 1;
    if (last >= 0 && this.#slots[last] === slot && this.#denominators[last] === denominator) {
      this.#numerators[last] += numerator;
      return;
    }
    if (last >= 0 && this.#slots[last] > slot) this.#isInOrder = false;
    this.#slots.push(slot);
    this.#numerators.push(numerator);
    this.#denominators.push(denominator);
  }

  /** Adds the minor units of each period to `into`: the rounded running total at its end less that at its start.
   * @returns Their sum over the range. */
  addTo(into: number[]): number {
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
