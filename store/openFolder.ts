// Opening a data folder: its database is held against what copies and journal hold, and made again where it is behind,
// torn or gone.
import { existsSync } from "node:fs";
import { rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { applyChanges } from "../core/edits/change.ts";
import type { TrailStep } from "../core/edits/history.ts";
import { messageOf } from "../core/plan/errors.ts";
import { isSame } from "../core/plan/same.ts";
import type { Plan } from "../core/plan/schema.ts";
import { writeCopy } from "./copies.ts";
import type { Database } from "./driver.ts";
import { emptyPlan } from "./emptyPlan.ts";
import { type Flush, Journal } from "./journal.ts";
import { type Migration, migrate } from "./migrate.ts";
import { beginAnew, fillDatabase, type Held, heldPlan } from "./rebuild.ts";
import { readList } from "./rows.ts";
import { readExchangeRates, readSettings } from "./settings.ts";
import { tables } from "./tables.ts";
import { readSteps, readTrail, type TrailEntry } from "./trail.ts";

/** What a database holds. */
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
  /** What was found and mended, in sentences. */
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

/** Opens a folder that the caller has locked. */
export async function openFolder(folder: string, opening: Opening): Promise<OpenFolder> {
  const said: string[] = [];
  const { journal, cutBytes } = await Journal.open(folder, opening.flush);
  if (cutBytes > 0) said.push(`The journal ended in ${cutBytes} bytes of a change that was never answered; they were put aside.`);
  const held = await heldPlan(folder, journal);
  if (!held) {
    const sound = await openDatabase(folder, opening);
    if (sound.loaded.revision > 0) await writeCopy(folder, sound.loaded.plan, sound.loaded.revision, opening.now.toISOString());
    return { ...sound, journal, said };
  }
  const opened = await openIfThere(folder, opening, said);
  if (opened && (await agrees(opened, held, journal))) return { ...opened, journal, said };
  const was = opened ? `stood at revision ${opened.loaded.revision}` : "was gone or could not be read";
  const made = await makeAgain(folder, opening, opened, held, journal);
  said.push(
    `The database ${was}; it was made again from the copy of revision ${held.copyRevision} and the journal up to revision ${held.revision}.`,
  );
  if (journal.last > held.revision)
    said.push(
      `What the journal holds from revision ${held.revision + 1} to ${journal.last} cannot be followed, because a copy in between is damaged. It is kept in the folder, and the plan goes on from revision ${made.loaded.revision}.`,
    );
  return { ...made, journal, said };
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
  if (loaded.revision < held.revision) return false;
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
  if (journal.last > held.revision) {
    const entry = await beginAnew(folder, journal, held, opening.now.toISOString());
    await fillDatabase(database, { ...held, revision: entry.revision }, [...trail, entry]);
  } else await fillDatabase(database, held, trail);
  return { database, loaded: await load(database, opening) };
}

const reasonOf = (error: unknown): string => messageOf(error).split("\n")[0];
