// The plan as copies and journal hold it, even if the database is gone; and the database made from it again.
import { applyChanges, type Change } from "../core/edits/change.ts";
import { findRow, rowsOf } from "../core/plan/rows.ts";
import type { Plan } from "../core/plan/schema.ts";
import { isSame } from "../core/values/same.ts";
import { listCopies, readCopy, readCopyOf, writeCopy } from "./copies.ts";
import type { Database, Sql } from "./driver.ts";
import type { Journal } from "./journal.ts";
import type { JournalEntry } from "./journalLines.ts";
import { type OnPart, withoutLookups, writeLists } from "./rows.ts";
import { writeExchangeRates, writeSettings } from "./settings.ts";
import { writeTrail } from "./trail.ts";

/** A plan that is known as a whole, such as that of a copy. */
export interface Base {
  plan: Plan;
  revision: number;
}

export interface Held extends Base {
  /** The revision of the plan that it was followed from. */
  copyRevision: number;
  /** Revisions in between that have no line in the journal. */
  missing: number[];
  /** Revisions that build on missing ones and so could not be followed. */
  skipped: number[];
}

/** The newest copy that can be read; null where there is none.
 * @param upTo The newest revision that is wanted. */
export async function newestCopy(folder: string, upTo = Number.POSITIVE_INFINITY): Promise<Base | null> {
  for (const { name, revision } of await listCopies(folder)) {
    const plan = revision > upTo ? null : await readCopy(folder, name);
    if (plan) return { plan, revision };
  }
  return null;
}

/** A plan with the entries after it. Where some are missing, those after them are followed as far as the rows they change are as
 * they found them.
 * @param entries In the order of their revisions. */
export async function follow(folder: string, base: Base, entries: readonly JournalEntry[], upTo = Number.POSITIVE_INFINITY): Promise<Held> {
  const held: Held = { ...base, copyRevision: base.revision, missing: [], skipped: [] };
  for (const entry of entries) {
    if (entry.revision <= held.revision) continue;
    if (entry.revision > upTo) break;
    for (let revision = held.revision + 1; revision < entry.revision; revision++) held.missing.push(revision);
    const next = await planAfter(folder, held, entry);
    if (next) held.plan = next;
    else held.skipped.push(entry.revision);
    held.revision = entry.revision;
    // Of another plan that cannot be read nothing can be followed.
    if (!next && entry.kind === "replace") break;
  }
  return held;
}

async function planAfter(folder: string, { plan, missing, skipped }: Held, entry: JournalEntry): Promise<Plan | null> {
  if (entry.kind === "replace") return readCopyOf(folder, entry.copy ?? "", entry.revision);
  const isCertain = missing.length + skipped.length === 0;
  return isCertain || appliesTo(plan, entry.changes) ? applyChanges(plan, entry.changes) : null;
}

/** True where all rows are as the changes found them. */
function appliesTo(plan: Plan, changes: readonly Change[]): boolean {
  const seen = new Set<string>();
  return changes.every(({ list, id, before }) => {
    const key = `${list} ${id}`;
    // A row that is changed several times is looked at the first time.
    if (seen.has(key)) return true;
    seen.add(key);
    const row = findRow(rowsOf(plan, list), id) ?? null;
    return row === null ? before === null : before !== null && isSame(row, before);
  });
}

/** True where every revision up to the newest has been followed. */
export const isComplete = ({ missing, skipped }: Held): boolean => missing.length + skipped.length === 0;

/** Fills an empty database with a plan and the trail that leads to it, as far as there is one. */
export async function fillDatabase(database: Database, { plan, revision }: Base, trail: readonly JournalEntry[]): Promise<void> {
  await database.transaction(async (sql) => {
    await writeWholePlan(sql, plan, null);
    await withoutLookups(sql, async () => {
      for (const entry of trail) await writeTrail(sql, entry);
      // The revision is counted on from the plan's, even if its trail is incomplete.
      if (trail.at(-1)?.revision !== revision) await writeTrail(sql, startOfTrail(plan, revision, new Date(0).toISOString()));
    });
  });
}

/** Writes a plan in place of what a database holds.
 * @param standing The plan that it holds; null where it holds none. */
export async function writeWholePlan(sql: Sql, plan: Plan, standing: Plan | null, onPart?: OnPart): Promise<void> {
  await withoutLookups(sql, async () => {
    await writeSettings(sql, plan.settings);
    await writeExchangeRates(sql, plan.exchangeRates);
    await writeLists(sql, plan, standing, onPart);
  });
}

/** If the journal cannot be followed to its end, the plan starts after all of it, with its own copy. */
export async function beginAfter(folder: string, journal: Journal, { plan, revision }: Base, at: string): Promise<JournalEntry> {
  const next = Math.max(journal.last, revision) + 1;
  const entry = { ...startOfTrail(plan, next, at), copy: await writeCopy(folder, plan, next, at) };
  await journal.append(entry);
  await journal.flush();
  return entry;
}

function startOfTrail(plan: Plan, revision: number, at: string): JournalEntry {
  const words = `open the plan "${plan.settings.name}"`;
  return { revision, at, actor: "", kind: "replace", of: null, words, edit: null, changes: [], key: null, maker: null };
}
