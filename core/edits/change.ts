// The changes of an edit, row by row, and their inversion.

import type { ListName } from "../plan/lists.ts";
import { MOST_SHIFTS, type RowIndex, rememberIndex, rowById, shiftedIndex } from "../plan/rows.ts";
import type { ChangedList, Plan, Row } from "../plan/schema.ts";
import { grouped } from "../values/grouped.ts";
import { lookUp } from "../values/lookUp.ts";

/** One row before and after; null before it was added and after it was deleted. */
interface Turn<L extends ChangedList> {
  id: string;
  before: Row<L> | null;
  after: Row<L> | null;
  /** Of an added or deleted row: the id of the row that follows it, null at the end of the list. */
  next?: string | null;
}

interface ChangeOf<L extends ChangedList> extends Turn<L> {
  list: L;
}

/** A change of a row of one of some lists; of any, or of the settings, by default. */
export type Change<L extends ChangedList = ChangedList> = { [K in L]: ChangeOf<K> }[L];

/** A change of a row of a list that is known to the caller alone. */
export function changeOf<L extends ChangedList>(list: L, change: Turn<L>): Change {
  const made: ChangeOf<L> = { list, ...change };
  // The compiler does not see that one list and its rows belong to one member of the union.
  return made as Change;
}

/** A change of the same row, from and to other states of it. */
export const turned = (change: Change, before: Change["before"], after: Change["after"]) => ({ ...change, before, after }) as Change;

/** The changes that take these back, in reverse order. */
export function invert(changes: readonly Change[]): Change[] {
  return changes.map((change) => turned(change, change.after, change.before)).reverse();
}

/** The plan with changes applied in order. Rows must be as the changes' `before` says. */
export function applyChanges(plan: Plan, changes: readonly Change[]): Plan {
  const next = { ...plan };
  const ofRows: Change<ListName>[] = [];
  for (const change of changes) {
    if (change.list === "settings") next.settings = settingsOf(change.after) ?? next.settings;
    else if (change.list === "exchange") next.exchangeRates = change.after?.rates ?? next.exchangeRates;
    else ofRows.push(change);
  }
  // Changes of one list do not touch another: each list is changed once.
  for (const [list, own] of grouped(ofRows, ({ list }) => list)) next[list] = changedList(next[list], own) as never;
  return next;
}

function settingsOf(row: Row<"settings"> | null): Plan["settings"] | null {
  if (row === null) return null;
  const { id: _, ...settings } = row;
  return settings;
}

function changedList(list: readonly Row[], changes: readonly Change<ListName>[]): Row[] {
  const shifts = changes.filter(({ before, after }) => before === null || after === null).length;
  return shifts <= MOST_SHIFTS ? withFewShifts(list, changes) : withChain(list, changes);
}

/** Few rows come or go: the index of the list goes along, so that nothing is looked up again. */
function withFewShifts(list: readonly Row[], changes: readonly Change<ListName>[]): Row[] {
  const rows = list.slice();
  let index = rowById(list);
  for (const { id, before, after, next } of changes) {
    if (before && after) rows[lookUp(index, id)] = after;
    else if (after) {
      const at = (next ? index.get(next) : undefined) ?? rows.length;
      rows.splice(at, 0, after);
      index = shiftedIndex(index, id, at, 1);
    } else {
      const at = index.get(id);
      if (at === undefined) continue;
      rows.splice(at, 1);
      index = shiftedIndex(index, id, at, -1);
    }
  }
  rememberIndex(rows, index);
  return rows;
}

function withChain(list: readonly Row[], changes: readonly Change<ListName>[]): Row[] {
  const chain = new Chain(list);
  for (const { id, before, after, next } of changes) {
    if (before && after) chain.put(id, after);
    else if (after) chain.insert(id, after, next ?? null);
    else chain.remove(id);
  }
  return chain.rows();
}

/** The rows of a list as a doubly linked chain: each change takes the same time, however long the list is. */
class Chain {
  readonly #rows: Row[];
  readonly #known: RowIndex;
  /** The places of rows that were added since, and -1 for those that were removed. */
  readonly #moved = new Map<string, number>();
  readonly #after: number[];
  readonly #before: number[];
  /** The place that follows the last row and comes before the first one. */
  readonly #end: number;

  constructor(list: readonly Row[]) {
    const places = list.length + 1;
    this.#rows = list.slice();
    this.#known = rowById(list);
    this.#end = list.length;
    this.#after = Array.from({ length: places }, (_, place) => (place + 1) % places);
    this.#before = Array.from({ length: places }, (_, place) => (place + places - 1) % places);
  }

  put(id: string, row: Row): void {
    const place = this.#placeOf(id);
    if (place >= 0) this.#rows[place] = row;
  }

  /** Adds a row before another one; at the end where that is not there. */
  insert(id: string, row: Row, next: string | null): void {
    const found = next === null ? -1 : this.#placeOf(next);
    const following = found >= 0 ? found : this.#end;
    const place = this.#after.length;
    this.#rows[place] = row;
    this.#moved.set(id, place);
    this.#link(this.#before[following], place);
    this.#link(place, following);
  }

  remove(id: string): void {
    const place = this.#placeOf(id);
    if (place < 0) return;
    this.#link(this.#before[place], this.#after[place]);
    this.#moved.set(id, -1);
  }

  rows(): Row[] {
    const rows: Row[] = [];
    for (let place = this.#after[this.#end]; place !== this.#end; place = this.#after[place]) rows.push(this.#rows[place]);
    return rows;
  }

  #placeOf(id: string): number {
    return this.#moved.get(id) ?? this.#known.get(id) ?? -1;
  }

  #link(place: number, next: number): void {
    this.#after[place] = next;
    this.#before[next] = place;
  }
}
