// The plan as copies and journal hold it, whatever has become of the database; and the database made from it again.
import { applyChanges } from "../core/edits/change.ts";
import type { Plan } from "../core/plan/schema.ts";
import { listCopies, readCopy } from "./copies.ts";
import type { Database } from "./driver.ts";
import type { Journal, JournalEntry } from "./journal.ts";
import { clearPlan, writePlan } from "./rows.ts";
import { writeSettings } from "./settings.ts";
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

/** Fills an empty database with a plan and the trail that leads to it. */
export async function fillDatabase(database: Database, { plan, revision }: Held, trail: readonly JournalEntry[]): Promise<void> {
  await database.transaction(async (sql) => {
    await writeWholePlan(sql, plan);
    for (const entry of trail) if (entry.revision <= revision) await writeTrail(sql, entry);
    // The trail may begin after the copy: the revision is counted on all the same.
    if (trail.length === 0) await writeTrail(sql, startOfTrail(plan, revision));
  });
}

export async function writeWholePlan(sql: Parameters<typeof writeSettings>[0], plan: Plan): Promise<void> {
  await clearPlan(sql);
  await writeSettings(sql, plan);
  await writePlan(sql, plan);
}

function startOfTrail(plan: Plan, revision: number): JournalEntry {
  const words = `open the plan "${plan.settings.name}"`;
  const at = new Date(0).toISOString();
  return { revision, at, actor: "", kind: "replace", of: null, words, edit: null, changes: [], key: null, maker: null };
}
