// Capacity and load by period from their days: sums, the over of single days, and the state of a period.
import type { DayMinutes } from "../calendar/capacityBook.ts";
import type { Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { addPlaced, placedIn } from "../placing/placements.ts";
import type { Plan } from "../plan/schema.ts";
import { usualSettings } from "../plan/usualSettings.ts";
import { shareHundredths } from "../values/units.ts";
import type { LoadBook } from "./loadBook.ts";

/** Minutes by period of one subject; index is the period. */
export interface PeriodSums {
  capacity: Int32Array;
  load: Int32Array;
  /** Over of the single days, which shows a bad day inside a good period. */
  peakOver: Int32Array;
}

/** The states of a period; a column holds the index. */
export const periodStates = ["open", "level", "over"] as const;

export type PeriodState = (typeof periodStates)[number];

/** Minutes left, never below 0. */
export const roomOf = (capacity: number, load: number): number => Math.max(0, capacity - load);

/** Minutes past capacity, never below 0. */
export const overOf = (capacity: number, load: number): number => Math.max(0, load - capacity);

/** The bounds between which a load is level, in hundredths of a percent of capacity. */
export interface LevelBand {
  low: number;
  high: number;
}

/** The band of a level load in hundredths of a percent of capacity, from the settings or the default. */
export function levelBandOf({ settings }: Plan): LevelBand {
  const { low, high } = settings.levelBand ?? usualSettings.levelBand;
  return { low: shareHundredths(low), high: shareHundredths(high) };
}

const WHOLE = 10_000;

/** The state of a period as an index in `periodStates`: columns hold it so. */
function stateIndex(capacity: number, load: number, { low, high }: LevelBand): number {
  if (load > capacity && load * WHOLE > capacity * high) return 2;
  if (load === 0 && capacity === 0) return 0;
  return load * WHOLE >= capacity * low ? 1 : 0;
}

/** Says whether a period is over, level or open. */
export function periodState(capacity: number, load: number, band: LevelBand): PeriodState {
  return periodStates[stateIndex(capacity, load, band)];
}

/** Minutes past capacity of a period that is over; 0 within the band. */
export function overBeyond(capacity: number, load: number, band: LevelBand): number {
  return periodState(capacity, load, band) === "over" ? overOf(capacity, load) : 0;
}

/** The state of every slot of some sums, as an index in `periodStates`. */
export function statesOf({ capacity, load }: Pick<PeriodSums, "capacity" | "load">, band: LevelBand): Uint8Array {
  const states = new Uint8Array(capacity.length);
  for (let slot = 0; slot < states.length; slot++) states[slot] = stateIndex(capacity[slot], load[slot], band);
  return states;
}

/** Minutes a day: `at` is the index of the first day. */
interface Days {
  minutes: Int32Array;
  at: number;
}

/** Sums days into periods.
 * @param capacity Minutes by day as a capacity book gives them, from the first period's first day on.
 * @param load Minutes by day, likewise.
 * @param slot Where the first period's sums go in `sums`. */
export function sumDays(capacity: DayMinutes, load: Days, periods: readonly Range[], sums: PeriodSums, slot = 0): void {
  const { regular, overtime, at } = capacity;
  const first = periods.length > 0 ? periods[0].start : 0;
  for (let period = 0; period < periods.length; period++) {
    const stop = periods[period].stop - first;
    let own = 0;
    let planned = 0;
    let over = 0;
    for (let i = periods[period].start - first; i < stop; i++) {
      const minutes = regular[at + i] + overtime[at + i];
      const work = load.minutes[load.at + i];
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

/** The days from the first period's first to the last one's last. @param periods In order and without gaps. */
export function spanOf(periods: readonly Range[]): Range {
  return periods.length === 0 ? { start: 0, stop: 0 } : { start: periods[0].start, stop: periods[periods.length - 1].stop };
}

/** Sums of one person's days, and what they were made from: they are while these are the same arrays. */
interface KnownSums {
  regular: Int32Array;
  overtime: Int32Array;
  byPeriods: Map<string, PeriodSums>;
}

/** By the days of a load that several models share. */
const knownSums = new WeakMap<Int32Array, KnownSums>();

/** Windows whose sums are kept for each person. */
const KEPT_WINDOWS = 4;

/** The name of consecutive periods, distinct from all others of one plan. */
export const periodsName = (periods: readonly Range[]): string =>
  `${periods[0]?.start} ${periods[1]?.start} ${periods[periods.length - 1]?.stop} ${periods.length}`;

/** Sums of one person by period, the same as long as their days are. Days outside the span of a book are not shared, and nothing is
 * kept of them. @param name Distinguishes these periods from others. */
function sumsOfPerson(capacity: DayMinutes, load: Days, periods: readonly Range[], name: string): PeriodSums {
  const own = () => {
    const sums = emptySums(periods.length);
    sumDays(capacity, load, periods, sums);
    return sums;
  };
  if (load.at === 0 && capacity.at === 0) return own();
  let known = knownSums.get(load.minutes);
  if (known?.regular !== capacity.regular || known.overtime !== capacity.overtime) {
    known = { regular: capacity.regular, overtime: capacity.overtime, byPeriods: new Map() };
    knownSums.set(load.minutes, known);
  }
  let sums = known.byPeriods.get(name);
  if (!sums) {
    sums = own();
    if (known.byPeriods.size === KEPT_WINDOWS) known.byPeriods.delete(known.byPeriods.keys().next().value ?? "");
    known.byPeriods.set(name, sums);
  }
  return sums;
}

/** Capacity, load and peak of many people by period: slot `i × periods.length + p` is people[i] in period p.
 * @param periods In order and without gaps. */
export function peopleSums({ capacity }: Placed, load: LoadBook, people: ArrayLike<number>, periods: readonly Range[]): PeriodSums {
  const count = periods.length;
  const sums = emptySums(people.length * count);
  const { start, stop } = spanOf(periods);
  const name = periodsName(periods);
  for (let i = 0; i < people.length; i++) {
    const own = sumsOfPerson(capacity.of(people[i], start, stop), load.of(people[i], start, stop), periods, name);
    sums.capacity.set(own.capacity, i * count);
    sums.load.set(own.load, i * count);
    sums.peakOver.set(own.peakOver, i * count);
  }
  return sums;
}

/** Capacity, load and peak of people as one, and of work that is given to none of them by name: a bad day is one on
 * which all of them together have too much.
 * @param others Rows of work that are added to the load. */
export function groupSums(
  { capacity, placements }: Placed,
  load: LoadBook,
  people: Iterable<number>,
  others: Iterable<number>,
  periods: readonly Range[],
): PeriodSums {
  const { start, stop } = spanOf(periods);
  const days = stop - start;
  const [can, does] = [new Int32Array(days), new Int32Array(days)];
  for (const person of people) {
    const own = capacity.of(person, start, stop);
    const work = load.of(person, start, stop);
    for (let i = 0; i < days; i++) {
      can[i] += own.regular[own.at + i] + own.overtime[own.at + i];
      does[i] += work.minutes[work.at + i];
    }
  }
  for (const row of others) addPlaced(placements, row, load.shares[row], start, stop, does, 0);
  const sums = emptySums(periods.length);
  sumDays({ regular: can, overtime: new Int32Array(days), at: 0 }, { minutes: does, at: 0 }, periods, sums);
  return sums;
}

/** Counted minutes of some rows of work by period. @param periods In order and without gaps. */
export function workSums({ placements }: Placed, shares: Int32Array, rows: Iterable<number>, periods: readonly Range[]): Int32Array {
  const minutes = new Int32Array(periods.length);
  for (const row of rows) {
    const first = placements.start[row];
    const stop = first + placements.length[row];
    for (let p = 0; p < periods.length; p++)
      if (periods[p].start < stop && periods[p].stop > first)
        minutes[p] += placedIn(placements, row, shares[row], periods[p].start, periods[p].stop);
  }
  return minutes;
}
