// The plan of one data folder: held in memory beside the database, changed one edit after the other.
import { mkdir, readdir, readFile, writeFile } from "node:fs/promises";
import { join, resolve } from "node:path";
import { applyChanges, type Change, invert } from "../core/edits/change.ts";
import { applyEdit, type Edit, faultsAfter } from "../core/edits/edit.ts";
import { afterStep, type History, historyOf, type TrailStep } from "../core/edits/history.ts";
import { listWords } from "../core/plan/check.ts";
import { type Fault, faultText } from "../core/plan/faults.ts";
import { findRow, rowsOf } from "../core/plan/rows.ts";
import { isSame } from "../core/plan/same.ts";
import type { Plan } from "../core/plan/schema.ts";
import type { Database, Sql } from "./driver.ts";
import { emptyPlan } from "./emptyPlan.ts";
import { lockFolder } from "./lock.ts";
import { type Migration, migrate } from "./migrate.ts";
import { openPglite } from "./pglite.ts";
import { clearPlan, readList, writeChanges, writePlan } from "./rows.ts";
import { readExchangeRates, readSettings, writeSettings } from "./settings.ts";
import { tables } from "./tables.ts";

/** What is asked of the store: an edit, or the last one taken back or brought again. */
export type Request = { kind: "edit"; edit: Edit; key?: string } | { kind: "undo" } | { kind: "redo" };

/** One revision as the trail keeps it. */
export interface TrailEntry extends TrailStep {
  at: string;
  actor: string;
  words: string;
  changes: Change[];
  /** What its sender calls it. */
  key?: string | null;
}

/** What can be undone and redone next, in words; null where there is nothing. */
export interface HistoryWords {
  undo: string | null;
  redo: string | null;
}

/** An answered request: the revisions the asker has not seen, its own last; or why it was refused. */
export type Answer = { revision: number; entries: TrailEntry[] | null; history: HistoryWords; faults: readonly Fault[] };

export interface Snapshot {
  plan: Plan;
  revision: number;
  history: HistoryWords;
}

/** How many trail entries are kept at hand, for undo and for those who are behind. */
const KEPT_ENTRIES = 500;

export class PlanStore {
  #plan: Plan;
  #revision: number;
  #entries: TrailEntry[];
  #history: History;
  #queue: Promise<unknown> = Promise.resolve();

  private constructor(
    private readonly database: Database,
    private readonly folder: string,
    private readonly unlock: () => void,
    loaded: { plan: Plan; revision: number; entries: TrailEntry[] },
  ) {
    this.#plan = loaded.plan;
    this.#revision = loaded.revision;
    this.#entries = loaded.entries;
    this.#history = historyOf(loaded.entries);
  }

  /** Opens the plan of a data folder; a new one holds an empty plan that begins this month.
   * @param openDatabase Opens the database in a folder of its own; PGlite by default.
   * @throws {FolderInUse} where another process has the folder open. */
  static async open(folder: string, migrations: readonly Migration[], openDatabase = openPglite): Promise<PlanStore> {
    const path = resolve(folder);
    const now = new Date();
    await mkdir(path, { recursive: true });
    const unlock = lockFolder(path, now.toISOString());
    try {
      const database = await openDatabase(join(path, "pglite"));
      await migrate(database, migrations);
      return new PlanStore(database, path, unlock, await load(database, now));
    } catch (error) {
      unlock();
      throw error;
    }
  }

  /** The plan as it is now. */
  snapshot(): Snapshot {
    return { plan: this.#plan, revision: this.#revision, history: this.#historyWords() };
  }

  /** What has changed since a revision, in order; null where that is too far back, or the plan was replaced since. */
  changesSince(revision: number): Change[] | null {
    return this.#entriesSince(revision)?.flatMap(({ changes }) => changes) ?? null;
  }

  /** True where no plan has been written yet. */
  get isNew(): boolean {
    return this.#revision === 0;
  }

  /** Settles one request on the newest plan, in one transaction with its trail entry and revision.
   * @param base The revision the asker saw. What has changed since is in the answer; where it touched the same rows,
   * the request is refused. */
  settle(request: Request, actor: string, base: number, at: string): Promise<Answer> {
    return this.#inTurn(async () => {
      const key = request.kind === "edit" ? request.key : undefined;
      if (key !== undefined && this.#entries.some((known) => known.key === key)) return this.#answer(base, []);
      const step = this.#stepFor(request, base);
      if ("faults" in step) return this.#answer(base, step.faults);
      const revision = this.#revision + 1;
      const entry: TrailEntry = { revision, at, actor, kind: request.kind, of: step.of, words: step.words, changes: step.changes, key };
      await this.database.transaction(async (sql) => {
        await writeChanges(sql, entry.changes);
        await writeTrail(sql, entry, request.kind === "edit" ? request.edit : null);
      });
      this.#plan = step.plan;
      this.#advance(entry);
      return this.#answer(base, []);
    });
  }

  /** Replaces the whole plan; the old one is kept as a file in the folder's `backups`.
   * @returns Where the old plan lies, or null where there was none. */
  replace(plan: Plan, actor: string, at: string): Promise<{ revision: number; backup: string | null }> {
    return this.#inTurn(async () => {
      const backup = this.isNew ? null : await this.#backUp(at);
      const revision = this.#revision + 1;
      const entry: TrailEntry = {
        revision,
        at,
        actor,
        kind: "replace",
        of: null,
        words: `open the plan "${plan.settings.name}"`,
        changes: [],
      };
      await this.database.transaction(async (sql) => {
        await clearPlan(sql);
        await writeSettings(sql, plan);
        await writePlan(sql, plan);
        await writeTrail(sql, entry, null);
      });
      this.#plan = plan;
      this.#advance(entry);
      return { revision, backup };
    });
  }

  /** Waits for what is under way, then closes the database and gives the folder back. */
  async close(): Promise<void> {
    await this.#queue.catch(() => {});
    await this.database.close();
    this.unlock();
  }

  #inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.#queue.then(work, work);
    this.#queue = turn.catch(() => {});
    return turn;
  }

  #stepFor(
    request: Request,
    base: number,
  ): { plan: Plan; changes: Change[]; words: string; of: number | null } | { faults: readonly Fault[] } {
    if (request.kind !== "edit") return this.#historyStep(request.kind);
    const outcome = applyEdit(this.#plan, request.edit);
    if (!outcome.plan) return { faults: outcome.faults };
    const overtaken = this.#changedSince(base, outcome.changes);
    if (overtaken) return { faults: [{ place: request.edit.kind, message: faultText.changedMeanwhile(listWords[overtaken.list]) }] };
    return { plan: outcome.plan, changes: outcome.changes, words: outcome.words, of: null };
  }

  #historyStep(kind: "undo" | "redo"): { plan: Plan; changes: Change[]; words: string; of: number } | { faults: readonly Fault[] } {
    const of = this.#history[kind].at(-1);
    const entry = this.#entries.find(({ revision }) => revision === of);
    if (of === undefined || !entry) return { faults: [{ place: kind, message: faultText.nothingTo(kind) }] };
    const changes = kind === "undo" ? invert(entry.changes) : entry.changes;
    const moved = firstOfEachRow(changes).find(
      ({ list, id, before }) => !isSame(findRow(rowsOf(this.#plan, list), id), before ?? undefined),
    );
    if (moved) return { faults: [{ place: kind, message: faultText.changedMeanwhile(listWords[moved.list]) }] };
    const plan = applyChanges(this.#plan, changes);
    const faults = faultsAfter(plan, changes);
    return faults.length > 0 ? { faults } : { plan, changes, words: entry.words, of };
  }

  #changedSince(base: number, changes: readonly Change[]): Change | undefined {
    const rows = new Set<string>();
    for (const entry of this.#entries) if (entry.revision > base) for (const { list, id } of entry.changes) rows.add(`${list} ${id}`);
    return rows.size === 0 ? undefined : changes.find(({ list, id }) => rows.has(`${list} ${id}`));
  }

  #advance(entry: TrailEntry): void {
    this.#revision = entry.revision;
    this.#entries = [...this.#entries, entry].slice(-KEPT_ENTRIES);
    this.#history = afterStep(this.#history, entry);
  }

  /** Entries are null where the asker is too far behind, or the plan was replaced: it has to read the plan anew. */
  #answer(base: number, faults: readonly Fault[]): Answer {
    return { revision: this.#revision, entries: this.#entriesSince(base), history: this.#historyWords(), faults };
  }

  #entriesSince(base: number): TrailEntry[] | null {
    const missed = this.#entries.filter(({ revision }) => revision > base);
    return missed.length === this.#revision - base && missed.every(({ kind }) => kind !== "replace") ? missed : null;
  }

  #historyWords(): HistoryWords {
    const words = (revision: number | undefined) => this.#entries.find((entry) => entry.revision === revision)?.words ?? null;
    return { undo: words(this.#history.undo.at(-1)), redo: words(this.#history.redo.at(-1)) };
  }

  async #backUp(at: string): Promise<string> {
    const folder = join(this.folder, "backups");
    await mkdir(folder, { recursive: true });
    const path = join(folder, `plan-${at.replaceAll(/[:.]/g, "-")}-revision-${this.#revision}.json`);
    await writeFile(path, JSON.stringify(this.#plan), { flag: "wx" });
    return path;
  }
}

/** The first change of each row: what stood there before all of them. A row that moves in its list has two. */
function firstOfEachRow(changes: readonly Change[]): Change[] {
  const seen = new Set<string>();
  return changes.filter(({ list, id }) => {
    const key = `${list} ${id}`;
    return !seen.has(key) && seen.add(key);
  });
}

async function load(sql: Sql, now: Date): Promise<{ plan: Plan; revision: number; entries: TrailEntry[] }> {
  const settings = await readSettings(sql);
  const plan = emptyPlan(now);
  if (settings) {
    plan.settings = settings;
    plan.exchangeRates = await readExchangeRates(sql);
    for (const table of tables) plan[table.list] = (await readList(sql, table)) as never;
  }
  const entries = await readTrail(sql);
  return { plan, revision: entries.at(-1)?.revision ?? 0, entries };
}

async function readTrail(sql: Sql): Promise<TrailEntry[]> {
  const rows = await sql.query<{ entry: string }>(
    `select json_build_object('revision', revision, 'at', at, 'actor', actor, 'kind', kind, 'of', of_revision, 'words', words, 'changes', changes, 'key', key)::text as entry
     from trail order by revision desc limit $1`,
    [KEPT_ENTRIES],
  );
  return rows.map(({ entry }) => JSON.parse(entry) as TrailEntry).reverse();
}

async function writeTrail(sql: Sql, { revision, at, actor, kind, of, words, changes, key }: TrailEntry, edit: Edit | null): Promise<void> {
  await sql.query(
    `insert into trail (revision, at, actor, kind, of_revision, words, edit, changes, key)
     values ($1, $2::timestamptz, $3, $4, $5, $6, $7::jsonb, $8::jsonb, $9)`,
    [revision, at, actor, kind, of, words, edit && JSON.stringify(edit), JSON.stringify(changes), key ?? null],
  );
}

/** Reads the numbered migrations of a folder in order. */
export async function readMigrations(folder: string): Promise<Migration[]> {
  const files = (await readdir(folder)).filter((file) => file.endsWith(".sql")).sort();
  return Promise.all(files.map(async (name) => ({ name, sql: await readFile(join(folder, name), "utf8") })));
}
