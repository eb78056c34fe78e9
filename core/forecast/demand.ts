// Who is asked for by work, by role and period: people count for their first role, openings and teams for the role their work
// is made in.
import { periodOfDays, type Range } from "../calendar/periods.ts";
import { spanOf } from "../load/periodSums.ts";
import { peopleByFirstRole } from "../load/teams.ts";
import type { Placed } from "../placing/placed.ts";

/** The role that each person counts for, by person row; −1 for none. */
export function roleOfPeople({ plan }: Placed): Int32Array {
  const roles = new Int32Array(plan.people.length).fill(-1);
  peopleByFirstRole(plan).forEach((people, role) => {
    for (const person of people) roles[person] = role;
  });
  return roles;
}

/** The role that a row of work asks for; −1 for material, and for work that is made in none. */
export function demandedRole({ work }: Placed, roleOf: Int32Array, row: number): number {
  if (work.isMaterial[row] === 1) return -1;
  const person = work.person[row];
  return person >= 0 ? roleOf[person] : work.role[row];
}

/** Adds up minutes by role and period: slot `role × periods.length + period`. */
export class DemandSums {
  readonly #range: Range;
  readonly #periodOf: Int32Array;
  readonly #count: number;

  /** @param periods In order and without gaps. */
  constructor(
    private readonly placed: Placed,
    periods: readonly Range[],
  ) {
    this.#range = spanOf(periods);
    this.#periodOf = periodOfDays(this.#range, periods);
    this.#count = periods.length;
  }

  empty(): Float64Array {
    return new Float64Array(this.placed.plan.roles.length * this.#count);
  }

  /** Adds what a row of work places. */
  add(row: number, role: number, into: Float64Array): void {
    const { placements } = this.placed;
    const [from, length] = [placements.start[row], placements.length[row]];
    const first = Math.max(from, this.#range.start);
    const stop = Math.min(from + length, this.#range.stop);
    const [at, base] = [placements.offset[row] - from, role * this.#count];
    for (let day = first; day < stop; day++) into[base + this.#periodOf[day - this.#range.start]] += placements.buffer.minutes[at + day];
  }
}

/** Demand by role and period of the rows of work that are wanted: slot `role × periods.length + period`. */
export function demandByRole(
  placed: Placed,
  roleOf: Int32Array,
  periods: readonly Range[],
  isWanted: (row: number) => boolean,
): Float64Array {
  const sums = new DemandSums(placed, periods);
  const demand = sums.empty();
  for (let row = 0; row < placed.work.rows; row++) {
    const role = isWanted(row) ? demandedRole(placed, roleOf, row) : -1;
    if (role >= 0) sums.add(row, role, demand);
  }
  return demand;
}

/** Capacity of the people of each role by period, overtime included: slot `role × periods.length + period`. */
export function capacityByRole(placed: Placed, roleOf: Int32Array, periods: readonly Range[]): Float64Array {
  const { start, stop } = spanOf(periods);
  const periodOf = periodOfDays({ start, stop }, periods);
  const sums = new Float64Array(placed.plan.roles.length * periods.length);
  for (let person = 0; person < roleOf.length; person++) {
    const role = roleOf[person];
    if (role < 0 || stop <= start) continue;
    const { regular, overtime, at } = placed.capacity.of(person, start, stop);
    for (let i = 0; i < stop - start; i++) sums[role * periods.length + periodOf[i]] += regular[at + i] + overtime[at + i];
  }
  return sums;
}
