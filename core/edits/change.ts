// What an edit did to the plan, row by row, and how it is undone.
import { rowById, shareRowMap } from "../plan/rows.ts";
import type { ListName, Plan, Row } from "../plan/schema.ts";

/** One row before and after; null before it was added and after it was deleted. */
export interface Change {
  list: ListName;
  id: string;
  before: Row | null;
  after: Row | null;
  /** Of an added or deleted row: the id of the row that follows it, null at the end of the list. */
  next?: string | null;
}

/** The changes that take these back, in reverse order. */
export function invert(changes: readonly Change[]): Change[] {
  return changes.map((change) => ({ ...change, before: change.after, after: change.before })).reverse();
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
