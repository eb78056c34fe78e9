// Undoing what was done on a plan that others have worked on since: cell by cell, never over what they have made.

import { rateKey } from "../plan/rateSubject.ts";
import { findRow, rowsOf } from "../plan/rows.ts";
import type { Plan, RateEntry } from "../plan/schema.ts";
import { grouped } from "../values/grouped.ts";
import { isSame } from "../values/same.ts";
import { type Change, invert, turned } from "./change.ts";
import { type ConflictCell, cellsOf, type EditConflict, rowName } from "./editConflicts.ts";

/** The changes of an undo, and the rows in which others have changed the same since. */
export interface UndoneStep {
  changes: Change[];
  editConflicts: EditConflict[];
}

type Row = NonNullable<Change["before"]>;
type Cells = Readonly<Record<string, unknown>>;

/** The changes that take others back, as far as the plan still is as they left it.
 * @param made What is undone, in the order it was made.
 * @returns Changes for the plan as it is now; cells that have been changed since are left, and named. */
export function undoStep(plan: Plan, made: readonly Change[]): UndoneStep {
  const inverted = invert(made);
  const editConflicts: EditConflict[] = [];
  const kept = new Map<string, Change[]>();
  for (const [key, steps] of grouped(inverted, ({ list, id }) => `${list} ${id}`)) {
    const [{ list, id, before: left }] = steps;
    const { after: former } = steps[steps.length - 1];
    const now = findRow<Row>(rowsOf(plan, list), id) ?? null;
    const { row, cells } = rowBack(list, left, former, now);
    if (cells.length > 0) editConflicts.push({ list, id, name: rowName(now ?? left, id), cells });
    // A row that moved in its list left it and came back: it moves back even where nothing in it has changed.
    const isMoved = steps.length > 1 && left !== null && former !== null && now !== null;
    if (isMoved || !isSame(row, now)) kept.set(key, between(steps, now, row));
  }
  const changes = inverted.flatMap(({ list, id }) => kept.get(`${list} ${id}`)?.shift() ?? []);
  return { changes, editConflicts };
}

/** The steps of one row, begun at what is there now and ended at what it goes back to. */
function between(steps: readonly Change[], now: Row | null, row: Row | null): Change[] {
  const last = steps.length - 1;
  return steps.map((step, at) => turned(step, at === 0 ? now : step.before, at === last ? row : step.after));
}

/** The state to which a row returns: `made` is how the step left it, `former` how it was before, `now` how it is. */
function rowBack(list: Change["list"], made: Row | null, former: Row | null, now: Row | null): { row: Row | null; cells: ConflictCell[] } {
  if (isSame(now, made)) return { row: former, cells: [] };
  if (isSame(now, former)) return { row: now, cells: [] };
  if (!made || !former || !now) return { row: now, cells: met(list, made, former, now) };
  const cells = met(list, made, former, now);
  const [left, here]: Cells[] = [made, now];
  const row: Row & Record<string, unknown> = { ...now };
  for (const [key, value] of changedKeys(made, former)) {
    if (list === "rateTables" && key === "entries") row.entries = entriesBack(made, former, now);
    else if (isSame(here[key], left[key])) {
      if (value === undefined) delete row[key];
      else row[key] = value;
    }
  }
  return { row, cells };
}

/** Cells that the step has changed and someone else has changed since, to something else. */
function met(list: Change["list"], made: Row | null, former: Row | null, now: Row | null): ConflictCell[] {
  const [left, back, here] = [made, former, now].map((row): Cells => (row ? cellsOf(list, row) : {}));
  const fields = new Set([...Object.keys(left), ...Object.keys(back), ...(made && former ? [] : Object.keys(here))]);
  return [...fields].flatMap((field) => {
    const isOwn = !isSame(left[field], back[field]) || !made || !former;
    const isTheirs = !isSame(here[field], left[field]) && !isSame(here[field], back[field]);
    return isOwn && isTheirs ? [{ field, saw: left[field], yours: former && back[field], now: now && here[field] }] : [];
  });
}

function changedKeys(made: Row, former: Row): [string, unknown][] {
  const [left, back]: Cells[] = [made, former];
  const keys = new Set([...Object.keys(left), ...Object.keys(back)]);
  return [...keys].map((key): [string, unknown] => [key, back[key]]).filter(([key, value]) => !isSame(left[key], value));
}

/** The entries of a rate table: figures that still are as they were left go back, all others stay. */
function entriesBack(made: Row, former: Row, now: Row): RateEntry[] {
  const [left, back, here] = [made, former, now].map(entriesByKey);
  const entries: RateEntry[] = [];
  for (const [key, entry] of here) {
    const [mine, before] = [left.get(key), back.get(key)];
    if (!mine || isSame(mine, before)) entries.push(entry);
    else if (before) entries.push(figuresBack(mine, before, entry));
    else if (!isSame(entry, mine)) entries.push(entry);
  }
  for (const [key, entry] of back) if (!here.has(key) && !left.has(key)) entries.push(entry);
  return entries;
}

function figuresBack(mine: RateEntry, before: RateEntry, now: RateEntry): RateEntry {
  const figures = (["rate", "overtimeRate", "perUse"] as const).map((key) => [key, isSame(now[key], mine[key]) ? before[key] : now[key]]);
  const stated = figures.filter(([, value]) => value !== undefined);
  const { rate: _, overtimeRate: __, perUse: ___, ...subject } = now;
  return { ...subject, ...Object.fromEntries(stated) };
}

function entriesByKey(row: Row): Map<string, RateEntry> {
  return new Map("entries" in row ? row.entries.map((entry) => [rateKey(entry), entry]) : []);
}
