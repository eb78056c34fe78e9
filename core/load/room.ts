// Room by day: what a person can still take on each day.
import type { Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import type { LoadBook } from "./loadBook.ts";
import { roomOf } from "./periodSums.ts";

/** Minutes free on each day of a range; index is `day − range.start`. */
export function roomDays({ capacity }: Placed, load: LoadBook, person: number, { start, stop }: Range): Int32Array {
  const own = capacity.of(person, start, stop);
  const work = load.of(person, start, stop);
  const room = new Int32Array(stop - start);
  for (let i = 0; i < room.length; i++) room[i] = roomOf(own.regular[own.at + i] + own.overtime[own.at + i], work.minutes[work.at + i]);
  return room;
}

/** Minutes of the needs of each day that fit into the room of that day. */
export function fitting(needs: ArrayLike<number>, room: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < needs.length; i++) sum += Math.min(needs[i], room[i]);
  return sum;
}

/** Minutes free on all days of a range together. */
export function roomOver(placed: Placed, load: LoadBook, person: number, range: Range): number {
  return roomDays(placed, load, person, range).reduce((sum, minutes) => sum + minutes, 0);
}
