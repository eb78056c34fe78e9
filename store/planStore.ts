// The plan of one data folder: held in memory beside the database, changed one edit after the other.
import { mkdir, readdir, readFile, writeFile } from "node:fs/promises";
import { join, resolve } from "node:path";
import { applyChanges, type Change, invert } from "../core/edits/change.ts";
import { applyEdit, type Edit, faultsAfter } from "../core/edits/edit.ts";
import { afterStep, type History, historyOf, type TrailStep } from "../core/edits/history.ts";
import { type OvertakenRow, overtakenRows } from "../core/edits/overtaken.ts";
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
export type Request =
  | {
      kind: "edit";
      edit: Edit;
      key?: string;
      /** The revision it was made on, where the asker has seen more since. */
      madeOn?: number;
      /** Keys of the asker's own edits that it was made on top of. */
      after?: readonly string[];
    }
  | { kind: "undo" }
  | { kind: "redo" };

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
export type Answer = { revision: number; entries: TrailEntry[] | null; history: HistoryWords } & Refusal;

/** What a request comes to, or why it is refused. */
type Step = { plan: Plan; changes: Change[]; words: string; of: number | null };
type Refusal = { faults: readonly Fault[]; overtaken?: readonly OvertakenRow[] };
type EditRequest = Extract<Request, { kind: "edit" }>;

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
  readonly #listeners = new Set<() => void>();

  private constructor(
    private readonly database: Database,
    private readonly folder: string,
    private readonly unlock: () => void,
    loaded: { plan: Plan; revision: number; entries: TrailEntry[] },
    private readonly keptEntries: number,
  ) {
    this.#plan = loaded.plan;
    this.#revision = loaded.revision;
    this.#entries = loaded.entries;
    this.#history = historyOf(loaded.entries);
  }

  /** Opens the plan of a data folder; a new one holds an empty plan that begins this month.
   * @param openDatabase Opens the database in a folder of its own; PGlite by default.
   * @param keptEntries How many trail entries are kept at hand; older ones are read when they are asked about.
   * @throws {FolderInUse} where another process has the folder open. */
  static async open(
    folder: string,
    migrations: readonly Migration[],
    openDatabase = openPglite,
    keptEntries = KEPT_ENTRIES,
  ): Promise<PlanStore> {
    const path = resolve(folder);
    const now = new Date();
    await mkdir(path, { recursive: true });
    const unlock = lockFolder(path, now.toISOString());
    try {
      const database = await openDatabase(join(path, "pglite"));
      await migrate(database, migrations);
      return new PlanStore(database, path, unlock, await load(database, now, keptEntries), keptEntries);
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

  /** What has changed since a revision, as an answer; without entries where the asker has to read the plan anew. */
  since(revision: number): Answer {
    return this.#answer(revision, []);
  }

  /** Calls back after every change. @returns Stops that. */
  onChange(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
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
      if (key !== undefined && (await this.#knows(key))) return this.#answer(base, []);
      const step = request.kind === "edit" ? await this.#editStep(request, base) : this.#historyStep(request.kind);
      if ("faults" in step) return { ...this.#answer(base, step.faults), ...("overtaken" in step && { overtaken: step.overtaken }) };
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

  /** An edit made on the plan as it is now; refused where it meets what others have done since its maker looked. */
  async #editStep({ edit, madeOn, after = [] }: EditRequest, base: number): Promise<Step | Refusal> {
    const since = await this.#othersSince(madeOn ?? base, after);
    if ("faults" in since) return since;
    const outcome = applyEdit(this.#plan, edit);
    if (!outcome.plan) return { faults: outcome.faults };
    const overtaken = overtakenRows(since.changes, outcome.changes);
    if (overtaken.length > 0)
      return { faults: [{ place: edit.kind, message: faultText.changedMeanwhile(listWords[overtaken[0].list]) }], overtaken };
    return { plan: outcome.plan, changes: outcome.changes, words: outcome.words, of: null };
  }

  #historyStep(kind: "undo" | "redo"): Step | Refusal {
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

  /** What has been changed since a revision, but for some edits; what is no longer at hand is read from the database. */
  async #othersSince(revision: number, but: readonly string[]): Promise<{ changes: Change[] } | Refusal> {
    if (revision > this.#revision) return { faults: [{ place: "", message: faultText.madeAhead() }] };
    const isAtHand = revision >= (this.#entries[0]?.revision ?? this.#revision + 1) - 1;
    const entries = isAtHand
      ? this.#entries.filter((entry) => entry.revision > revision)
      : await readTrail(this.database, { since: revision });
    if (entries.some(({ kind }) => kind === "replace")) return { faults: [{ place: "", message: faultText.replacedMeanwhile() }] };
    const others = entries.filter(({ key }) => key === undefined || key === null || !but.includes(key));
    return { changes: others.flatMap(({ changes }) => changes) };
  }

  /** True where an edit of this key has been settled, however long ago. */
  async #knows(key: string): Promise<boolean> {
    if (this.#entries.some((known) => known.key === key)) return true;
    const found = await this.database.query("select revision from trail where key = $1", [key]);
    return found.length > 0;
  }

  #advance(entry: TrailEntry): void {
    this.#revision = entry.revision;
    this.#entries = [...this.#entries, entry].slice(-this.keptEntries);
    this.#history = afterStep(this.#history, entry);
    // Told in a turn of their own: whoever made the change is answered first.
    for (const listener of this.#listeners) setImmediate(listener);
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

async function load(sql: Sql, now: Date, most: number): Promise<{ plan: Plan; revision: number; entries: TrailEntry[] }> {
  const settings = await readSettings(sql);
  const plan = emptyPlan(now);
  if (settings) {
    plan.settings = settings;
    plan.exchangeRates = await readExchangeRates(sql);
    for (const table of tables) plan[table.list] = (await readList(sql, table)) as never;
  }
  const entries = await readTrail(sql, { most });
  return { plan, revision: entries.at(-1)?.revision ?? 0, entries };
}

/** The last entries of the trail, or all since a revision; the oldest first. */
async function readTrail(sql: Sql, { since, most }: { since?: number; most?: number }): Promise<TrailEntry[]> {
  const rows = await sql.query<{ entry: string }>(
    `select json_build_object('revision', revision, 'at', at, 'actor', actor, 'kind', kind, 'of', of_revision, 'words', words, 'changes', changes, 'key', key)::text as entry
     from trail where revision > $1 order by revision desc limit $2`,
    [since ?? 0, most ?? null],
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
