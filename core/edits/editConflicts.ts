// The conflicts of an edit: cells that others have changed since its maker saw them, to another value.

import { rateKey } from "../plan/rateSubject.ts";
import type { RateEntry } from "../plan/schema.ts";
import { isSame } from "../values/same.ts";
import { type Change, turned } from "./change.ts";

/** One cell that two have changed. */
export interface ConflictCell {
  /** The field, or of a rate the entry and its field. */
  field: string;
  saw: unknown;
  yours: unknown;
  now: unknown;
}

export interface EditConflict {
  list: Change["list"];
  id: string;
  name: string;
  cells: ConflictCell[];
}

type Cells = Readonly<Record<string, unknown>>;

/** The rows in which an edit meets what others have done.
 * @param since What others have changed since its maker looked, in order.
 * @param own The edit's changes, made on the plan as it is now. */
export function findEditConflicts(since: readonly Change[], own: readonly Change[]): EditConflict[] {
  const saw = new Map<string, Cells | null>();
  for (const { list, id, before } of since) if (!saw.has(`${list} ${id}`)) saw.set(`${list} ${id}`, before && cellsOf(list, before));
  const met = new Map<string, EditConflict>();
  for (const { list, id, before, after } of effective(own)) {
    const known = saw.get(`${list} ${id}`);
    if (known === undefined || before === null) continue;
    const cells = cellsMet(known ?? {}, cellsOf(list, before), after && cellsOf(list, after));
    if (cells.length > 0) met.set(`${list} ${id}`, { list, id, name: rowName(before, id), cells });
  }
  return [...met.values()];
}

/** One change a row: a row that moves in its list leaves it and comes back. */
function effective(changes: readonly Change[]): Change[] {
  const byRow = new Map<string, Change>();
  for (const change of changes) {
    const key = `${change.list} ${change.id}`;
    const first = byRow.get(key);
    byRow.set(key, first ? turned(change, first.before, change.after) : change);
  }
  return [...byRow.values()];
}

function cellsMet(saw: Cells, now: Cells, yours: Cells | null): ConflictCell[] {
  const fields = new Set([...Object.keys(saw), ...Object.keys(now), ...Object.keys(yours ?? {})]);
  const cells: ConflictCell[] = [];
  for (const field of fields) {
    const isTheirs = !isSame(saw[field], now[field]);
    if (isTheirs && (yours === null || !isSame(yours[field], now[field])))
      cells.push({ field, saw: saw[field], yours: yours === null ? null : yours[field], now: now[field] });
  }
  return cells;
}

/** The name of a row; its id if it has no name. */
export function rowName(row: Change["before"], id: string): string {
  return row && "name" in row && typeof row.name === "string" ? row.name : id;
}

/** A row as its cells: its fields, and of a rate table each figure of each entry. */
export function cellsOf(list: Change["list"], row: NonNullable<Change["before"]>): Cells {
  if (list !== "rateTables" || !("entries" in row)) return row;
  const { entries, ...others } = row;
  return { ...others, ...Object.fromEntries(entries.flatMap(entryCells)) };
}

function entryCells(entry: RateEntry): [string, unknown][] {
  const { rate, overtimeRate, perUse } = entry;
  return Object.entries({ rate, overtimeRate, perUse }).map(([field, value]) => [`${rateKey(entry)}: ${field}`, value]);
}
