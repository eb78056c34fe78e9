// From ids to row numbers, and from a row to the rows that belong to it.

import { type ChangedList, type ListName, type Plan, type Row, SETTINGS_ID } from "./schema.ts";

const rowMaps = new WeakMap<readonly { id: string }[], Map<string, number>>();

/** Row number of each id in a list; built once for a list and remembered as long as the list lives. */
export function rowById(list: readonly { id: string }[]): Map<string, number> {
  let rows = rowMaps.get(list);
  if (!rows) {
    rows = new Map();
    for (let row = 0; row < list.length; row++) rows.set(list[row].id, row);
    rowMaps.set(list, rows);
  }
  return rows;
}

/** Says that `next` has the same ids in the same order as `list`, so that their map is shared. */
export function shareRowMap(list: readonly { id: string }[], next: readonly { id: string }[]): void {
  const rows = rowMaps.get(list);
  if (rows) rowMaps.set(next, rows);
}

/** The row with an id, or undefined. */
export function findRow<T extends { id: string }>(list: readonly T[], id: string | undefined): T | undefined {
  if (id === undefined) return undefined;
  const row = rowById(list).get(id);
  return row === undefined ? undefined : list[row];
}

const onlyRows = new WeakMap<object, readonly { id: string }[]>();

/** The one row that settings or exchange rates are changed as; the same as long as they are. */
function onlyRow(of: object, row: { id: string }): readonly { id: string }[] {
  let rows = onlyRows.get(of);
  if (!rows) {
    rows = [row];
    onlyRows.set(of, rows);
  }
  return rows;
}

/** The rows of a list, whichever it is; of the settings and of the exchange rates their one row. */
export function rowsOf<L extends ChangedList>(plan: Plan, list: L): readonly Row<L>[] {
  if (list === "settings") return onlyRow(plan.settings, { ...plan.settings, id: SETTINGS_ID } as Row<"settings">) as readonly Row<L>[];
  if (list === "exchange")
    return onlyRow(plan.exchangeRates, { id: SETTINGS_ID, rates: plan.exchangeRates } as Row<"exchange">) as readonly Row<L>[];
  return plan[list as ListName] as readonly { id: string }[] as readonly Row<L>[];
}

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
  if (before === after || rowMaps.get(before) === rowMaps.get(after)) if (before.length === after.length) return null;
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
