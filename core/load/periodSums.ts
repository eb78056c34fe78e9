// Capacity and load by period from their days: sums, the over of single days, and the state of a period.
import type { DayMinutes } from "../calendar/capacityBook.ts";
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { shareHundredths } from "../plan/units.ts";
import { addPlaced } from "./placements.ts";

/** Minutes by period of one subject; index is the period. */
export interface PeriodSums {
  capacity: Int32Array;
  load: Int32Array;
  /** Over of the single days, which shows a bad day inside a good period. */
  peakOver: Int32Array;
}

export type PeriodState = "over" | "level" | "open";

/** Minutes left, never below 0. */
export const roomOf = (capacity: number, load: number): number => Math.max(0, capacity - load);

/** Minutes past capacity, never below 0. */
export const overOf = (capacity: number, load: number): number => Math.max(0, load - capacity);

/** The bounds between which a load is level, in hundredths of a percent of capacity. */
export interface LevelBand {
  low: number;
  high: number;
}

export function levelBandOf({ settings }: Plan): LevelBand {
  const { low, high } = settings.levelBand ?? { low: 0.85, high: 1 };
  return { low: shareHundredths(low), high: shareHundredths(high) };
}

const WHOLE = 10_000;

/** Says whether a period is over, level or open. */
export function periodState(capacity: number, load: number, band: LevelBand): PeriodState {
  if (load > capacity && load * WHOLE > capacity * band.high) return "over";
  if (load === 0 && capacity === 0) return "open";
  return load * WHOLE >= capacity * band.low ? "level" : "open";
}

/** Writes a person's capacity by day into `out`; index is `day − range.start`. */
export function capacityDays({ capacity }: Model, person: number, range: Range, out: Int32Array): void {
  const { regular, overtime, at } = capacity.of(person, range.start, range.stop);
  for (let i = 0; i < range.stop - range.start; i++) out[i] = regular[at + i] + overtime[at + i];
}

/** Adds the counted minutes of all a person's work to `out`; index is `day − range.start`. */
export function addLoadDays({ work, placements }: Model, person: number, shares: Int32Array, range: Range, out: Int32Array): void {
  for (let at = work.byPerson.first[person]; at < work.byPerson.first[person + 1]; at++) {
    const row = work.byPerson.members[at];
    if (shares[row] > 0) addPlaced(placements, row, shares[row], range.start, range.stop, out, 0);
  }
}

/** Sums days into periods.
 * @param capacity Minutes by day as a capacity book gives them.
 * @param load Minutes by day, from the first period's first day on.
 * @param slot Where the first period's sums go in `sums`. */
export function sumDays(capacity: DayMinutes, load: Int32Array, periods: readonly Range[], sums: PeriodSums, slot = 0): void {
  const { regular, overtime, at } = capacity;
  const first = periods.length > 0 ? periods[0].start : 0;
  for (let period = 0; period < periods.length; period++) {
    const stop = periods[period].stop - first;
    let own = 0;
    let planned = 0;
    let over = 0;
    for (let i = periods[period].start - first; i < stop; i++) {
      const minutes = regular[at + i] + overtime[at + i];
      const work = load[i];
      own += minutes;
      planned += work;
      if (work > minutes) over += work - minutes;
    }
    sums.capacity[slot + period] += own;
    sums.load[slot + period] += planned;
    sums.peakOver[slot + period] += over;
  }
}

/** Sums for `slots` slots, all 0. */
export function emptySums(slots: number): PeriodSums {
  return { capacity: new Int32Array(slots), load: new Int32Array(slots), peakOver: new Int32Array(slots) };
}

/** Adds sums to others of the same periods. */
export function addSums(own: PeriodSums, into: PeriodSums): void {
  const { capacity, load, peakOver } = own;
  for (let p = 0; p < capacity.length; p++) {
    into.capacity[p] += capacity[p];
    into.load[p] += load[p];
    into.peakOver[p] += peakOver[p];
  }
}

/** Capacity, load and peak of many people by period: slot `i × periods.length + p` is people[i] in period p.
 * @param periods In order and without gaps. */
export function peopleSums(model: Model, people: ArrayLike<number>, shares: Int32Array, periods: readonly Range[]): PeriodSums {
  const sums = emptySums(people.length * periods.length);
  if (periods.length === 0) return sums;
  const range = { start: periods[0].start, stop: periods[periods.length - 1].stop };
  const load = new Int32Array(range.stop - range.start);
  for (let i = 0; i < people.length; i++) {
    load.fill(0);
    addLoadDays(model, people[i], shares, range, load);
    sumDays(model.capacity.of(people[i], range.start, range.stop), load, periods, sums, i * periods.length);
  }
  return sums;
}
