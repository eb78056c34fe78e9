// The plan as copies and journal hold it, whatever has become of the database; and the database made from it again.
import { applyChanges } from "../core/edits/change.ts";
import type { Plan } from "../core/plan/schema.ts";
import { listCopies, readCopy, writeCopy } from "./copies.ts";
import type { Database, Sql } from "./driver.ts";
import type { Journal, JournalEntry } from "./journal.ts";
import { type OnPart, withoutLookups, writeLists } from "./rows.ts";
import { writeExchangeRates, writeSettings } from "./settings.ts";
import { writeTrail } from "./trail.ts";

export interface Held {
  plan: Plan;
  revision: number;
  /** The revision of the copy it was read from. */
  copyRevision: number;
}

/** The plan by the newest copy that can be read and the journal after it; null where there is no copy.
 * @param upTo The revision wanted; the newest by default. */
export async function heldPlan(folder: string, journal: Journal, upTo = Number.POSITIVE_INFINITY): Promise<Held | null> {
  for (const { name, revision } of await listCopies(folder)) {
    if (revision > upTo) continue;
    const plan = await readCopy(folder, name);
    if (plan) return follow(folder, { plan, revision, copyRevision: revision }, await journal.since(revision), upTo);
  }
  return null;
}

async function follow(folder: string, copy: Held, entries: readonly JournalEntry[], upTo: number): Promise<Held> {
  let { plan, revision } = copy;
  for (const entry of entries) {
    if (entry.revision > upTo || entry.revision !== revision + 1) break;
    const next = entry.kind === "replace" ? await readCopy(folder, entry.copy ?? "") : applyChanges(plan, entry.changes);
    if (!next) break;
    plan = next;
    revision = entry.revision;
  }
  return { ...copy, plan, revision };
}

/** Fills an empty database with a plan and the trail that leads to it, as far as there is one. */
export async function fillDatabase(database: Database, { plan, revision }: Held, trail: readonly JournalEntry[]): Promise<void> {
  await database.transaction(async (sql) => {
    await writeWholePlan(sql, plan, null);
    await withoutLookups(sql, async () => {
      for (const entry of trail) await writeTrail(sql, entry);
      // The revision is counted on from the plan's, whatever of its trail is there.
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

/** Where the journal goes on beyond what can be followed: the plan begins anew after all of it, with a copy of its own. */
export async function beginAnew(folder: string, journal: Journal, { plan }: Held, at: string): Promise<JournalEntry> {
  const revision = journal.last + 1;
  const entry = { ...startOfTrail(plan, revision, at), copy: await writeCopy(folder, plan, revision, at) };
  await journal.append(entry);
  await journal.flush();
  return entry;
}

function startOfTrail(plan: Plan, revision: number, at: string): JournalEntry {
  const words = `open the plan "${plan.settings.name}"`;
  return { revision, at, actor: "", kind: "replace", of: null, words, edit: null, changes: [], key: null, maker: null };
}
