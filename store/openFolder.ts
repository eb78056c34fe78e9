// Opening a data folder: its database is held against what copies and journal hold, and made again where it is behind,
// torn or gone.
import { existsSync } from "node:fs";
import { rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { applyChanges } from "../core/edits/change.ts";
import type { TrailStep } from "../core/edits/history.ts";
import type { Plan } from "../core/plan/schema.ts";
import { messageOf } from "../core/values/errors.ts";
import { isSame } from "../core/values/same.ts";
import { confirmCopy, listAnnounced, listCopies, withdrawCopy, writeCopy } from "./copies.ts";
import type { Database } from "./driver.ts";
import { emptyPlan } from "./emptyPlan.ts";
import { type CutEnd, type Flush, Journal } from "./journal.ts";
import { revisionsText } from "./journalFaults.ts";
import { type Migration, migrate } from "./migrate.ts";
import { beginAfter, fillDatabase, follow, type Held, isComplete, newestCopy } from "./rebuild.ts";
import { readList } from "./rows.ts";
import { readExchangeRates, readSettings } from "./settings.ts";
import { tables } from "./tables.ts";
import { readSteps, readTrail, type TrailEntry } from "./trail.ts";

/** The contents of a database. */
export interface Loaded {
  plan: Plan;
  revision: number;
  /** The newest entries of the trail. */
  entries: TrailEntry[];
  /** All steps since the plan was opened as a whole. */
  steps: TrailStep[];
}

export interface OpenFolder {
  database: Database;
  journal: Journal;
  loaded: Loaded;
  /** The findings and repairs, in sentences. */
  said: string[];
}

export interface Opening {
  migrations: readonly Migration[];
  openDatabase: (folder: string) => Promise<Database>;
  keptEntries: number;
  flush?: Flush;
  now: Date;
}

interface Opened {
  database: Database;
  loaded: Loaded;
}

/** Opens a folder that the caller has locked.
 * @throws Error where a journal with revisions has neither a database nor a copy to go with it: a new plan is never begun over it. */
export async function openFolder(folder: string, opening: Opening): Promise<OpenFolder> {
  const { journal, cut } = await Journal.open(folder, opening.flush);
  try {
    return await openBeside(journal, cut, folder, opening);
  } catch (error) {
    await journal.close().catch(() => undefined);
    throw error;
  }
}

async function openBeside(journal: Journal, cut: CutEnd | null, folder: string, opening: Opening): Promise<OpenFolder> {
  const said: string[] = [];
  await settleAnnounced(folder, journal);
  const opened = await openIfThere(folder, opening, said);
  const copy = await newestCopy(folder);
  const base = copy ?? (opened && opened.loaded.revision > 0 ? opened.loaded : null);
  if (!base) {
    await opened?.database.close().catch(() => undefined);
    if (journal.last > 0) throw new Error(await nothingToFollow(folder, journal));
    return { ...(await openDatabase(folder, opening)), journal, said };
  }
  if (opened) await rewriteDamaged(folder, base.revision, opened, journal, said);
  // The journal is shortened by whole files, so a file ends with the copy.
  if (copy && copy.revision >= journal.last) journal.beginFile();
  const held = await follow(folder, base, await journal.since(base.revision));
  const sound = opened && (await agrees(opened, held, journal)) ? opened : null;
  if (cut) said.push(cutText(cut, sound !== null && sound.loaded.revision > held.revision));
  if (sound) {
    if (!copy) await writeCopy(folder, sound.loaded.plan, sound.loaded.revision, opening.now.toISOString());
    return { ...sound, journal, said };
  }
  const was = opened ? `was at revision ${opened.loaded.revision}` : "was gone or could not be read";
  const from = copy ? `the copy of revision ${held.copyRevision}` : `its own revision ${held.copyRevision}`;
  const made = await makeAgain(folder, opening, opened, held, journal);
  said.push(`The database ${was}; it was made again from ${from} and the journal up to revision ${held.revision}.`);
  if (!isComplete(held)) said.push(...incompleteText(held, made.loaded.revision));
  return { ...made, journal, said };
}

/** Writes the revisions of damaged lines to the journal again, if the database has them. */
async function rewriteDamaged(folder: string, after: number, { database }: Opened, journal: Journal, said: string[]): Promise<void> {
  const known = new Set((await journal.since(after)).map(({ revision }) => revision));
  const last = Math.max(...known, after);
  if (last - after === known.size) return;
  const copies = new Map((await listCopies(folder)).map(({ revision, name }) => [revision, name]));
  const found = (await readTrail(database, { since: after })).filter(({ revision }) => revision < last && !known.has(revision));
  for (const entry of found) {
    const copy = entry.kind === "replace" ? copies.get(entry.revision) : undefined;
    await journal.append({ ...entry, ...(copy !== undefined && { copy }) });
  }
  if (found.length === 0) return;
  await journal.flush();
  said.push(
    `${startText(found.map(({ revision }) => revision))} of the journal was damaged; the database has it, and it was written again.`,
  );
}

/** A copy that was announced and is named by the journal is a copy; any other was never answered. */
async function settleAnnounced(folder: string, journal: Journal): Promise<void> {
  for (const { name, revision } of await listAnnounced(folder)) {
    const [entry] = await journal.since(revision - 1);
    await (entry?.copy === name ? confirmCopy(folder, name) : withdrawCopy(folder, name));
  }
}

function cutText({ bytes, file }: CutEnd, isInDatabase: boolean): string {
  const rest = isInDatabase
    ? "The database has that change, and it was written again."
    : "A change is answered only once its whole line is on the disk.";
  return `The journal ended in ${bytes} bytes that are no whole line; they are kept in journal/${file}. ${rest}`;
}

function incompleteText({ missing, skipped }: Held, revision: number): string[] {
  const said: string[] = [];
  if (missing.length > 0) said.push(`${startText(missing)} of the journal cannot be read, and neither database nor copies hold it.`);
  if (skipped.length > 0)
    said.push(`${startText(skipped)} builds on what cannot be read and could not be followed. It is kept in the journal.`);
  return [...said, `The plan goes on from revision ${revision}.`];
}

/** "Revision 7", or "Revisions 7 to 9, 12", at the start of a sentence. */
function startText(revisions: readonly number[]): string {
  const text = revisionsText(revisions);
  return text[0].toUpperCase() + text.slice(1);
}

/** The message for a folder without a readable database or copy: its journal, and what can be restored. */
async function nothingToFollow(folder: string, journal: Journal): Promise<string> {
  const { first, last, lines } = await journal.verify();
  const copies = await listCopies(folder);
  const damaged = copies.length === 0 ? "There is no copy of the plan" : `None of its ${copies.length} copies can be read`;
  return (
    `The data folder ${folder} has a journal of ${lines} changes, revisions ${first} to ${last}, but no database that can be read. ${damaged}, ` +
    "so there is no plan to which these changes belong. Nothing was changed. Restore the folders copies or pglite from a backup, " +
    "or set ROSTER_DATA to another folder to begin a new plan."
  );
}

/** The database of a folder; null where there is none, or none that can be opened, which is said. */
async function openIfThere(folder: string, opening: Opening, said: string[]): Promise<Opened | null> {
  if (!existsSync(join(folder, "pglite"))) return null;
  return openDatabase(folder, opening).catch((error: unknown) => {
    said.push(`The database could not be opened (${reasonOf(error)}).`);
    return null;
  });
}

async function openDatabase(folder: string, opening: Opening): Promise<Opened> {
  const database = await opening.openDatabase(join(folder, "pglite"));
  try {
    await migrate(database, opening.migrations);
    return { database, loaded: await load(database, opening) };
  } catch (error) {
    await database.close().catch(() => undefined);
    throw error;
  }
}

async function load(database: Database, { now, keptEntries }: Opening): Promise<Loaded> {
  const settings = await readSettings(database);
  const plan = emptyPlan(now);
  if (settings) {
    plan.settings = settings;
    plan.exchangeRates = await readExchangeRates(database);
    for (const table of tables) plan[table.list] = (await readList(database, table)) as never;
  }
  const entries = (await readTrail(database, { most: keptEntries })).map(({ edit: _, ...entry }) => entry);
  return { plan, revision: entries.at(-1)?.revision ?? 0, entries, steps: await readSteps(database) };
}

/** True where the database holds what was answered. It may be ahead by changes that were never answered: the journal
 * takes those over. */
async function agrees({ database, loaded }: Opened, held: Held, journal: Journal): Promise<boolean> {
  if (loaded.revision < held.revision || !isComplete(held)) return false;
  const ahead = (await readTrail(database, { since: held.revision })).filter(({ kind }) => kind !== "replace");
  if (ahead.length !== loaded.revision - held.revision) return false;
  const plan = ahead.reduce((before, { changes }) => applyChanges(before, changes), held.plan);
  if (!isSame(plan, loaded.plan)) return false;
  for (const entry of ahead) await journal.append(entry);
  if (ahead.length > 0) await journal.flush();
  return true;
}

async function makeAgain(folder: string, opening: Opening, opened: Opened | null, held: Held, journal: Journal): Promise<Opened> {
  await opened?.database.close().catch(() => undefined);
  const path = join(folder, "pglite");
  const aside = join(folder, "pglite-set-aside");
  await rm(aside, { recursive: true, force: true });
  if (existsSync(path)) await rename(path, aside);
  const database = await opening.openDatabase(path);
  await migrate(database, opening.migrations);
  const trail = (await journal.since(0)).filter(({ revision }) => revision <= held.revision);
  if (isComplete(held) && journal.last <= held.revision) await fillDatabase(database, held, trail);
  else {
    const entry = await beginAfter(folder, journal, held, opening.now.toISOString());
    await fillDatabase(database, { plan: held.plan, revision: entry.revision }, [...trail, entry]);
  }
  return { database, loaded: await load(database, opening) };
}

const reasonOf = (error: unknown): string => messageOf(error).split("\n")[0];
