// From ids to row numbers, and from a row to the rows that belong to it.

import { lookUp } from "../values/lookUp.ts";
import { recordOf } from "../values/objectKeys.ts";
import { onceFor } from "../values/once.ts";
import { type ListName, listNames, SETTINGS_ID } from "./lists.ts";
import type { ChangedList, Plan, Row } from "./schema.ts";

/** The row of each id of a list. */
export interface RowIndex {
  get(id: string): number | undefined;
  has(id: string): boolean;
}

/** The same index after one row was added or removed: each asks the one below it and moves what is behind. */
class ShiftedIndex implements RowIndex {
  readonly depth: number;

  /** @param by 1 for a row that was added at `at`, −1 for one that was removed there. */
  constructor(
    readonly below: RowIndex,
    readonly id: string,
    readonly at: number,
    readonly by: 1 | -1,
  ) {
    this.depth = below instanceof ShiftedIndex ? below.depth + 1 : 1;
  }

  get(id: string): number | undefined {
    if (id === this.id) return this.by === 1 ? this.at : undefined;
    const row = this.below.get(id);
    return row !== undefined && row >= this.at ? row + this.by : row;
  }

  has(id: string): boolean {
    return id === this.id ? this.by === 1 : this.below.has(id);
  }
}

/** The most steps that are searched one by one before an index is made again. */
export const MOST_SHIFTS = 12;

const rowIndexes = new WeakMap<readonly { id: string }[], RowIndex>();

/** Row number of each id in a list; built once for a list and remembered as long as the list lives. */
export function rowById(list: readonly { id: string }[]): RowIndex {
  let rows = rowIndexes.get(list);
  if (!rows) {
    const known = new Map<string, number>();
    for (let row = 0; row < list.length; row++) known.set(list[row].id, row);
    rowIndexes.set(list, known);
    rows = known;
  }
  return rows;
}

/** The index after a row was added (`by` 1) or removed (−1) at a place. */
export const shiftedIndex = (below: RowIndex, id: string, at: number, by: 1 | -1): RowIndex => new ShiftedIndex(below, id, at, by);

/** Says which index a list has, so that it need not be built; one of too many steps is let go. */
export function rememberIndex(list: readonly { id: string }[], rows: RowIndex): void {
  if (!(rows instanceof ShiftedIndex) || rows.depth <= MOST_SHIFTS) rowIndexes.set(list, rows);
}

/** The single steps from one index to a later one, the first one first; null where there is no such way. */
function shiftsBetween(before: RowIndex, after: RowIndex): ShiftedIndex[] | null {
  const steps: ShiftedIndex[] = [];
  let at = after;
  while (at !== before) {
    if (!(at instanceof ShiftedIndex)) return null;
    steps.unshift(at);
    at = at.below;
  }
  return steps;
}

/** The row with an id, or undefined. */
export function findRow<T extends { id: string }>(list: readonly T[], id: string | undefined): T | undefined {
  if (id === undefined) return undefined;
  const row = rowById(list).get(id);
  return row === undefined ? undefined : list[row];
}

/** The row with an id that is known to be there, such as one that another row of a checked plan refers to.
 * @throws RangeError where it is not. */
export function knownRow<T extends { id: string }>(list: readonly T[], id: string): T {
  return list[lookUp(rowById(list), id)];
}

/** Settings and exchange rates as the one row each that they are changed as; the same as long as they are. */
const settingsRows = onceFor((settings: Plan["settings"]): readonly Row<"settings">[] => [{ ...settings, id: SETTINGS_ID }]);
const exchangeRows = onceFor((rates: Plan["exchangeRates"]): readonly Row<"exchange">[] => [{ id: SETTINGS_ID, rates }]);

const readers: { [L in ChangedList]: (plan: Plan) => readonly Row<L>[] } = {
  ...listReaders(),
  settings: ({ settings }) => settingsRows(settings),
  exchange: ({ exchangeRates }) => exchangeRows(exchangeRates),
};

function listReaders() {
  const readerOf = (list: ListName) => (plan: Plan) => plan[list];
  return recordOf(listNames, readerOf) as { [L in ListName]: (plan: Plan) => readonly Row<L>[] };
}

/** The rows of a list, whichever it is; of the settings and of the exchange rates their one row. */
export function rowsOf<L extends ChangedList>(plan: Plan, list: L): readonly Row<L>[] {
  return readers[list](plan);
}

/** A whole number for each row of a list, in one loop: `Int32Array.from` takes several times as long. */
export function columnOf<T>(list: readonly T[], of: (row: T, at: number) => number): Int32Array {
  const column = new Int32Array(list.length);
  for (let at = 0; at < list.length; at++) column[at] = of(list[at], at);
  return column;
}

/** By row of a list 1 where something is true of it, else 0. */
export function flagsOf<T>(list: readonly T[], is: (row: T, at: number) => boolean): Uint8Array {
  const flags = new Uint8Array(list.length);
  for (let at = 0; at < list.length; at++) if (is(list[at], at)) flags[at] = 1;
  return flags;
}

/** The numbers of all rows of a list: 0, 1, 2, … */
export const allRows = (list: readonly unknown[]): Int32Array => columnOf(list, (_, at) => at);

/** Members grouped by owner: those of `owner` are `members[first[owner] … first[owner + 1])`, in row order. */
export interface Grouping {
  first: Int32Array;
  members: Int32Array;
}

/** Groups the rows 0 … ownerOf.length by their owner; rows whose owner is −1 belong to none. */
export function groupRows(ownerOf: Int32Array, owners: number): Grouping {
  const first = new Int32Array(owners + 1);
  for (let row = 0; row < ownerOf.length; row++) if (ownerOf[row] >= 0) first[ownerOf[row] + 1]++;
  for (let owner = 0; owner < owners; owner++) first[owner + 1] += first[owner];
  const next = first.slice(0, owners);
  const members = new Int32Array(first[owners]);
  for (let row = 0; row < ownerOf.length; row++) if (ownerOf[row] >= 0) members[next[ownerOf[row]]++] = row;
  return { first, members };
}

/** The rows of one owner; shared: read, never write. */
export function membersOf({ first, members }: Grouping, owner: number): Int32Array {
  return members.subarray(first[owner], first[owner + 1]);
}

/** For each row of `after` its row in `before`, −1 for a new one; null where both have the same ids in the same order. */
export function formerRows(before: readonly { id: string }[], after: readonly { id: string }[]): Int32Array | null {
  if (before === after) return null;
  const shifts = shiftsBetween(rowById(before), rowById(after));
  return shifts ? formerByShifts(before.length, shifts) : formerByIds(before, after);
}

function formerByShifts(length: number, shifts: readonly ShiftedIndex[]): Int32Array | null {
  if (shifts.length === 0) return null;
  const most = length + shifts.length;
  const former = new Int32Array(most);
  for (let row = 0; row < length; row++) former[row] = row;
  let used = length;
  for (const { at, by } of shifts) {
    if (by === 1) {
      former.copyWithin(at + 1, at, used);
      former[at] = -1;
    } else former.copyWithin(at, at + 1, used);
    used += by;
  }
  const now = former.subarray(0, used);
  return used === length && now.every((own, row) => own === row) ? null : now.slice();
}

function formerByIds(before: readonly { id: string }[], after: readonly { id: string }[]): Int32Array | null {
  const former = new Int32Array(after.length);
  let isSame = before.length === after.length;
  let shift = 0;
  for (let row = 0; row < after.length; row++) {
    const { id } = after[row];
    // Runs between two inserted or deleted rows keep their distance.
    if (before[row + shift]?.id !== id) shift = (rowById(before).get(id) ?? Number.NaN) - row;
    former[row] = Number.isNaN(shift) ? -1 : row + shift;
    if (Number.isNaN(shift)) shift = row > 0 ? former[row - 1] - row : 0;
    if (former[row] !== row) isSame = false;
  }
  return isSame ? null : former;
}

/** Rows that are one after the other in two states: `length` of them, from `from` in the former one, at `to` now. */
interface Run {
  to: number;
  from: number;
  length: number;
}

const runsOfFormer = new WeakMap<Int32Array, Run[]>();

/** Former rows that stayed together; found once for a list of them. New rows are in no run. */
function runsOf(former: Int32Array): Run[] {
  let runs = runsOfFormer.get(former);
  if (runs) return runs;
  runs = [];
  for (let row = 0; row < former.length; ) {
    const from = former[row];
    let end = row + 1;
    if (from >= 0) {
      while (end < former.length && former[end] === from + end - row) end++;
      runs.push({ to: row, from, length: end - row });
    }
    row = end;
  }
  runsOfFormer.set(former, runs);
  return runs;
}

/** A column with each row's value where the row is now; 0 for new rows.
 * @param former By row the former one, −1 for a new one. @param into As long as there are rows now, all 0. */
export function carryColumn<C extends Int32Array | Uint8Array>(column: C, former: Int32Array, into: C): C {
  for (const { to, from, length } of runsOf(former)) into.set(column.subarray(from, from + length), to);
  return into;
}

/** Values of single rows, each under the row that it is in now. */
export function carryByRow<T>(values: ReadonlyMap<number, T>, former: Int32Array): Map<number, T> {
  const carried = new Map<number, T>();
  const runs = runsOf(former);
  for (const [row, value] of values) {
    const run = runs.find(({ from, length }) => row >= from && row < from + length);
    if (run) carried.set(row - run.from + run.to, value);
  }
  return carried;
}
