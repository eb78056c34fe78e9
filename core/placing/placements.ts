// The minutes of every row of work by day, in one buffer.
import { carryByRow, carryColumn } from "../plan/rows.ts";

/** Minutes that could not be placed, and the day on which reports by period count them. */
export interface Unplaced {
  day: number;
  minutes: number;
}

/** Minutes by day for each row of work. Row r lies at `buffer.minutes[offset[r] … offset[r] + length[r])`, its first
 * value is for day `start[r]`. Values are never changed once written: a newer state appends to the same buffer. */
export interface Placements {
  start: Int32Array;
  length: Int32Array;
  offset: Int32Array;
  asked: Int32Array;
  placed: Int32Array;
  unplaced: Int32Array;
  /** The place and dates of the unplaced minutes, for the rows that have any. */
  unplacedAt: Map<number, Unplaced[]>;
  buffer: { minutes: Int32Array; used: number };
}

/** Days that most work lasts: what the buffer has room for at first. */
const USUAL_DAYS = 28;

/** Placements of `rows` rows with nothing placed yet. @param usualDays Days that a row is given room for at first. */
export function emptyPlacements(rows: number, usualDays = USUAL_DAYS): Placements {
  const column = () => new Int32Array(rows);
  return {
    start: column(),
    length: column(),
    offset: column(),
    asked: column(),
    placed: column(),
    unplaced: column(),
    unplacedAt: new Map(),
    buffer: { minutes: new Int32Array(1024 + rows * usualDays), used: 0 },
  };
}

/** A copy whose rows can be placed again while the original stays as it is; the buffer is shared.
 * @param formerOf By row its row in the original, −1 for a new one; null where rows are the same. */
export function carryPlacements(placements: Placements, formerOf: Int32Array | null): Placements {
  const carry = (column: Int32Array): Int32Array =>
    formerOf ? carryColumn(column, formerOf, new Int32Array(formerOf.length)) : column.slice();
  return {
    start: carry(placements.start),
    length: carry(placements.length),
    offset: carry(placements.offset),
    asked: carry(placements.asked),
    placed: carry(placements.placed),
    unplaced: carry(placements.unplaced),
    unplacedAt: formerOf ? carryByRow(placements.unplacedAt, formerOf) : new Map(placements.unplacedAt),
    buffer: placements.buffer,
  };
}

/** Makes room for `count` days at the end of the buffer and gives them to a row, all 0.
 * @returns Index of the first of them in `placements.buffer.minutes`. */
export function allot(placements: Placements, row: number, start: number, count: number): number {
  if (placements.buffer.used + count > placements.buffer.minutes.length) grow(placements, count);
  const at = placements.buffer.used;
  placements.buffer.used += count;
  placements.start[row] = start;
  placements.length[row] = count;
  placements.offset[row] = at;
  return at;
}

// Days that no row has any more are left behind; the old buffer is left to the states that still read it.
function grow(placements: Placements, count: number): void {
  const { length, offset, buffer } = placements;
  let live = 0;
  for (let row = 0; row < length.length; row++) live += length[row];
  const minutes = new Int32Array(2 * (live + count) + 1024);
  let used = 0;
  for (let row = 0; row < length.length; row++) {
    minutes.set(buffer.minutes.subarray(offset[row], offset[row] + length[row]), used);
    offset[row] = used;
    used += length[row];
  }
  placements.buffer = { minutes, used };
}

/** Adds a row's minutes of [start, stop) to `out[at + (day − start)]`, each day times `share` hundredths of a percent;
 * nothing where the share is 0 or says that the row is not counted. */
export function addPlaced(
  placements: Placements,
  row: number,
  share: number,
  start: number,
  stop: number,
  out: Int32Array,
  at: number,
): void {
  if (share <= 0) return;
  const first = placements.start[row];
  const from = Math.max(start, first);
  const until = Math.min(stop, first + placements.length[row]);
  const { minutes } = placements.buffer;
  let source = placements.offset[row] + from - first;
  let target = at + from - start;
  if (share === 10_000) for (let day = from; day < until; day++) out[target++] += minutes[source++];
  else for (let day = from; day < until; day++) out[target++] += Math.floor((2 * minutes[source++] * share + 10_000) / 20_000);
}

/** Minutes of a row that fall into [start, stop), each day times `share`; 0 where it is not counted. */
export function placedIn(placements: Placements, row: number, share: number, start: number, stop: number): number {
  if (share <= 0) return 0;
  const first = placements.start[row];
  const from = Math.max(start, first);
  const until = Math.min(stop, first + placements.length[row]);
  const { minutes } = placements.buffer;
  let sum = 0;
  for (let at = placements.offset[row] + from - first, day = from; day < until; day++, at++) {
    sum += share === 10_000 ? minutes[at] : Math.floor((2 * minutes[at] * share + 10_000) / 20_000);
  }
  return sum;
}

/** The first day on which a row has minutes, and the day after the last; cut to a range where one is given. */
export function workedDays(placements: Placements, row: number, range?: { start: number; stop: number }): { start: number; stop: number } {
  const { minutes } = placements.buffer;
  const first = placements.start[row];
  const at = placements.offset[row] - first;
  let start = Math.max(range?.start ?? first, first);
  let stop = Math.min(range?.stop ?? Number.POSITIVE_INFINITY, first + placements.length[row]);
  while (start < stop && minutes[at + start] === 0) start++;
  while (stop > start && minutes[at + stop - 1] === 0) stop--;
  return { start, stop };
}
