// The part of a person's minutes on a day that is overtime, and its distribution over that day's assignments.
import type { Day } from "../calendar/day.ts";
import { countAll, countedShares } from "../load/counting.ts";
import type { Placed } from "../placing/placed.ts";
import { addPlaced } from "../placing/placements.ts";
import { splitByWeight } from "../placing/split.ts";

/** Overtime minutes by row of work and day; rows and days without any are left out. */
type OvertimeMinutes = Map<number, Map<Day, number>>;

/** Overtime of everyone who may work some, calculated for a person when first asked for: what a day's load is above regular
 * capacity, at most the overtime capacity, split over the day's work by its minutes. */
export class OvertimeBook {
  readonly #placed: Placed;
  #shares: Int32Array | null = null;
  readonly #calculated = new Set<number>();
  readonly #minutes: OvertimeMinutes = new Map();

  constructor(placed: Placed) {
    this.#placed = placed;
  }

  /** The overtime minutes of a row of work by day; undefined for none. */
  of(row: number): ReadonlyMap<Day, number> | undefined {
    const person = this.#placed.work.person[row];
    if (person < 0 || !this.#placed.plan.people[person].overtime?.length) return undefined;
    if (!this.#calculated.has(person)) {
      this.#calculated.add(person);
      this.#shares ??= countedShares(this.#placed, countAll);
      splitOvertime(this.#placed, person, this.#shares, this.#minutes);
    }
    return this.#minutes.get(row);
  }
}

const orderOf = ({ partOf }: Placed["work"], row: number): number => (partOf[row] < 0 ? row : partOf[row]);

function splitOvertime(model: Placed, person: number, shares: Int32Array, overtime: OvertimeMinutes): void {
  const { work, placements } = model;
  const rows = [...work.byPerson.members.subarray(work.byPerson.first[person], work.byPerson.first[person + 1])].filter(
    (row) => shares[row] >= 0 && placements.length[row] > 0,
  );
  // A part of a team's work comes where the team's assignment does.
  if (work.firstRecorded < work.rows) rows.sort((a, b) => orderOf(work, a) - orderOf(work, b) || a - b);
  if (rows.length === 0) return;
  const start = Math.min(...rows.map((row) => placements.start[row]));
  const stop = Math.max(...rows.map((row) => placements.start[row] + placements.length[row]));
  const load = new Int32Array(stop - start);
  for (const row of rows) addPlaced(placements, row, 10_000, start, stop, load, 0);
  const capacity = model.capacity.of(person, start, stop);
  const own = new Int32Array(rows.length);
  for (let day = start; day < stop; day++) {
    const i = day - start;
    const minutes = Math.min(capacity.overtime[capacity.at + i], load[i] - capacity.regular[capacity.at + i]);
    if (minutes <= 0) continue;
    own.fill(0);
    rows.forEach((row, k) => {
      addPlaced(placements, row, 10_000, day, day + 1, own, k);
    });
    splitByWeight(minutes, own, 0, own.length);
    rows.forEach((row, k) => {
      if (own[k] === 0) return;
      const days = overtime.get(row) ?? new Map<Day, number>();
      days.set(day, own[k]);
      overtime.set(row, days);
    });
  }
}
