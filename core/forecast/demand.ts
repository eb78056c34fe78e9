// The demand on groups of people and their capacity, by period.
import { periodOfDays, type Range } from "../calendar/periods.ts";
import { type Counting, countedShares } from "../load/counting.ts";
import { spanOf } from "../load/periodSums.ts";
import type { Placed } from "../placing/placed.ts";
import { roundedQuotient } from "../values/units.ts";
import { type DemandGroups, NO_GROUPS } from "./groups.ts";

/** A share that counts in full. */
const WHOLE = 10_000;

/** The groups that a row of work asks for; none for material. */
export function groupsAsked({ work }: Placed, groups: DemandGroups, row: number): readonly number[] {
  if (work.isMaterial[row] === 1) return NO_GROUPS;
  const person = work.person[row];
  return person >= 0 ? groups.ofPerson[person] : groups.ofOpen(row);
}

/** Adds up minutes by group and period: slot `group × periods.length + period`. */
export class DemandSums {
  readonly #range: Range;
  readonly #periodOf: Int32Array;
  readonly #periods: number;

  /** @param periods In order and without gaps. */
  constructor(
    private readonly placed: Placed,
    private readonly groups: DemandGroups,
    periods: readonly Range[],
  ) {
    this.#range = spanOf(periods);
    this.#periodOf = periodOfDays(this.#range, periods);
    this.#periods = periods.length;
  }

  empty(): Float64Array {
    return new Float64Array(this.groups.count * this.#periods);
  }

  /** Adds what a row of work places. @param share How much of each day counts, in hundredths of a percent. */
  add(row: number, group: number, into: Float64Array, share = WHOLE): void {
    const { placements } = this.placed;
    const [from, length] = [placements.start[row], placements.length[row]];
    const first = Math.max(from, this.#range.start);
    const stop = Math.min(from + length, this.#range.stop);
    const [at, base] = [placements.offset[row] - from, group * this.#periods];
    const { minutes } = placements.buffer;
    for (let day = first; day < stop; day++)
      into[base + this.#periodOf[day - this.#range.start]] +=
        share === WHOLE ? minutes[at + day] : roundedQuotient(minutes[at + day] * share, WHOLE);
  }
}

/** Demand by group and period of the rows of work that are wanted: slot `group × periods.length + period`. */
export function demandOf(
  placed: Placed,
  groups: DemandGroups,
  periods: readonly Range[],
  isWanted: (row: number) => boolean,
): Float64Array {
  const sums = new DemandSums(placed, groups, periods);
  const demand = sums.empty();
  for (let row = 0; row < placed.work.rows; row++)
    if (isWanted(row)) for (const group of groupsAsked(placed, groups, row)) sums.add(row, group, demand);
  return demand;
}

/** Demand by group and period of the wanted rows of work that count, with the share of them that does: slot
 * `group × periods.length + period`. */
export function countedDemandOf(
  placed: Placed,
  groups: DemandGroups,
  periods: readonly Range[],
  isWanted: (row: number) => boolean,
  counting: Counting,
): Float64Array {
  const sums = new DemandSums(placed, groups, periods);
  const shares = countedShares(placed, counting);
  const demand = sums.empty();
  for (let row = 0; row < placed.work.rows; row++)
    if (shares[row] > 0 && isWanted(row)) for (const group of groupsAsked(placed, groups, row)) sums.add(row, group, demand, shares[row]);
  return demand;
}

/** Capacity of the people of each group by period, overtime included: slot `group × periods.length + period`. */
export function capacityOf(placed: Placed, { count, ofPerson }: DemandGroups, periods: readonly Range[]): Float64Array {
  const { start, stop } = spanOf(periods);
  const periodOf = periodOfDays({ start, stop }, periods);
  const sums = new Float64Array(count * periods.length);
  if (stop <= start) return sums;
  ofPerson.forEach((groups, person) => {
    if (groups.length === 0) return;
    const { regular, overtime, at } = placed.capacity.of(person, start, stop);
    for (const group of groups)
      for (let i = 0; i < stop - start; i++) sums[group * periods.length + periodOf[i]] += regular[at + i] + overtime[at + i];
  });
  return sums;
}
