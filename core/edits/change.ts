// What an edit did to the plan, row by row, and how it is undone.
import { rowById, shareRowMap } from "../plan/rows.ts";
import type { ListName, Plan, Row } from "../plan/schema.ts";

/** One row before and after; null before it was added and after it was deleted. */
interface ChangeOf<L extends ListName> {
  list: L;
  id: string;
  before: Row<L> | null;
  after: Row<L> | null;
  /** Of an added or deleted row: the id of the row that follows it, null at the end of the list. */
  next?: string | null;
}

/** A change of a row of one of some lists; of any by default. */
export type Change<L extends ListName = ListName> = { [K in L]: ChangeOf<K> }[L];

/** A change of a row of a list that is known to the caller alone. */
export function changeOf<L extends ListName>(list: L, change: Omit<ChangeOf<L>, "list">): Change {
  // The compiler does not see that one list and its rows belong to one member of the union.
  return { list, ...change } as unknown as Change;
}

/** The changes that take these back, in reverse order. */
export function invert(changes: readonly Change[]): Change[] {
  return changes.map((change) => ({ ...change, before: change.after, after: change.before }) as Change).reverse();
}

/** The plan with changes applied in order. Rows must stand as the changes' `before` says. */
export function applyChanges(plan: Plan, changes: readonly Change[]): Plan {
  const next = { ...plan };
  for (const run of runsByList(changes)) {
    const list = run[0].list;
    next[list] = changedList(next[list] as Row[], run) as never;
  }
  return next;
}

function runsByList(changes: readonly Change[]): Change[][] {
  const runs: Change[][] = [];
  for (const change of changes) {
    const last = runs.at(-1);
    if (last && last[0].list === change.list) last.push(change);
    else runs.push([change]);
  }
  return runs;
}

function changedList(list: Row[], changes: readonly Change[]): Row[] {
  const rows = list.slice();
  if (changes.every(({ before, after }) => before && after)) {
    for (const { id, after } of changes) rows[rowById(list).get(id) as number] = after as Row;
    shareRowMap(list, rows);
    return rows;
  }
  for (const { id, before, after, next } of changes) {
    const at = rows.findIndex((row) => row.id === (before ? id : next));
    if (!before) rows.splice(at < 0 ? rows.length : at, 0, after as Row);
    else if (!after) rows.splice(at, 1);
    else rows[at] = after;
  }
  return rows;
}
