// The plan of one data folder: held in memory next to the database, changed one edit after the other.
import { chmod } from "node:fs/promises";
import { join, resolve } from "node:path";
import { applyChanges, type Change } from "../core/edits/change.ts";
import { applyEdit, type Edit, faultsAfter } from "../core/edits/edit.ts";
import { type EditConflict, findEditConflicts } from "../core/edits/editConflicts.ts";
import { Histories, type NextSteps } from "../core/edits/history.ts";
import { isInOwnName } from "../core/edits/ownName.ts";
import { undoStep } from "../core/edits/undoStep.ts";
import { type Fault, faultText } from "../core/plan/faults.ts";
import { listNames } from "../core/plan/lists.ts";
import { listWords } from "../core/plan/listWords.ts";
import type { Plan } from "../core/plan/schema.ts";
import { CodedError, codeOf, messageOf } from "../core/values/errors.ts";
import { announceCopy, confirmCopy, copiesFolder, withdrawCopy, writeCopy } from "./copies.ts";
import { CopySchedule } from "./copySchedule.ts";
import type { Database } from "./driver.ts";
import { freeBytes, makeFolder } from "./files.ts";
import type { Flush, Journal, JournalState } from "./journal.ts";
import { type JournalEntry, ordered } from "./journalLines.ts";
import { takeFolder } from "./lease.ts";
import type { Migration } from "./migrate.ts";
import { type Loaded, openFolder } from "./openFolder.ts";
import { openPglite } from "./pglite.ts";
import { follow, isComplete, newestCopy, writeWholePlan } from "./rebuild.ts";
import { type OnPart, writeChanges } from "./rows.ts";
import { readEntryAbout, readTrail, readTrailBefore, revisionOfKey, type TrailEntry, writeTrail } from "./trail.ts";
import { checkVersion, writeVersion } from "./version.ts";

/** A request to the store: an edit, or an undo or redo of the user's own last step. */
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
  | {
      kind: "undo" | "redo";
      key?: string;
      /** The revision at which the step was made; the asker's last one by default. */
      of?: number;
      /** The key of the edit, in place of its revision. */
      ofKey?: string;
      /** True to leave what others have changed since, and undo the rest. */
      partly?: boolean;
    };

/** The maker: the user, and the id that their browser keeps; null for programs, whose steps belong together. */
export interface Maker {
  actor: string;
  /** The name on the maker's comments and answers; any name if it is left out. */
  name?: string;
  id: string | null;
}

/** A revision as every window gets it. */
export type PublicEntry = Omit<TrailEntry, "maker" | "key">;

/** An answered request: the revisions the asker has not seen, its own last; or why it was refused. */
export type Answer = { revision: number; entries: PublicEntry[] | null; history: NextSteps } & Refusal;

/** The result of a request, or why it is refused. */
type Step = { plan: Plan; changes: Change[]; words: string; of: number | null };
type Refusal = {
  faults: readonly Fault[];
  /** The rows in which it meets what others have done. */
  editConflicts?: readonly EditConflict[];
  /** Of a step that is undone: how many rows can be, all the same. */
  undoableRows?: number;
};
type EditRequest = Extract<Request, { kind: "edit" }>;
type StepRequest = Exclude<Request, EditRequest>;

export interface Snapshot {
  plan: Plan;
  revision: number;
  history: NextSteps;
}

/** The options that tests and benches override. */
export interface StoreOptions {
  /** Opens the database in a folder of its own; PGlite by default. */
  openDatabase?: (folder: string) => Promise<Database>;
  /** Number of trail entries kept in memory; older ones are read on demand. */
  keptEntries?: number;
  /** Puts what was written to a file on the disk. */
  flush?: Flush;
  /** The bytes that the folder's disk has left. */
  roomOf?: (folder: string) => Promise<number>;
}

/** Number of trail entries kept in memory, for clients that are behind. */
const KEPT_ENTRIES = 500;

/** The database writes in pieces of 16 MB, the journal and a copy next to it: with less room nothing is begun. */
const LEAST_ROOM = 96_000_000;

/** Rows of a plan as the database, its log, the journal and two copies hold them, in bytes a row. */
const BYTES_A_ROW = 4_000;

const roomFor = (plan: Plan): number => {
  const rows = listNames.reduce((sum, list) => sum + plan[list].length, 0);
  return LEAST_ROOM * 2 + rows * BYTES_A_ROW;
};

export class PlanStore {
  #plan: Plan;
  #revision: number;
  #entries: TrailEntry[];
  readonly #histories: Histories;
  readonly #database: Database;
  readonly #journal: Journal;
  readonly #copies: CopySchedule;
  #queue: Promise<unknown> = Promise.resolve();
  /** The reason why edits are no longer accepted; null while they are. */
  #closed: string | null = null;
  #closing: Promise<void> | null = null;
  readonly #listeners = new Set<() => void>();
  /** The findings and repairs when the folder was opened, in sentences. */
  readonly said: readonly string[];

  private constructor(
    private readonly folder: string,
    private readonly giveBack: () => Promise<void>,
    { database, journal, loaded, said }: { database: Database; journal: Journal; loaded: Loaded; said: string[] },
    private readonly options: Required<Pick<StoreOptions, "keptEntries" | "roomOf">>,
  ) {
    this.#plan = loaded.plan;
    this.#revision = loaded.revision;
    this.#entries = loaded.entries;
    this.#histories = new Histories(loaded.steps);
    this.#database = database;
    this.#journal = journal;
    this.#copies = new CopySchedule(folder, journal, loaded.revision);
    this.said = said;
  }

  /** Opens the plan of a data folder; a new one holds an empty plan that begins this month.
   * @throws {FolderInUse} where another process has the folder open.
   * @throws {NewerFolder} where a newer version has written it. */
  static async open(folder: string, migrations: readonly Migration[], options: StoreOptions = {}): Promise<PlanStore> {
    const { openDatabase = openPglite, keptEntries = KEPT_ENTRIES, roomOf = freeBytes, flush } = options;
    const path = resolve(folder);
    await checkVersion(path, migrations);
    const now = new Date();
    let store: PlanStore | null = null;
    const giveBack = await ownFolder(path, now, () => {
      if (store) store.#lose();
    });
    try {
      const opened = await openFolder(path, { migrations, openDatabase, keptEntries, flush, now });
      await writeVersion(path, migrations);
      store = new PlanStore(path, giveBack, opened, { keptEntries, roomOf });
      return store;
    } catch (error) {
      await giveBack();
      throw error;
    }
  }

  /** The plan as it is now. @param maker Whose steps are reported as next to undo. */
  snapshot(maker: string | null = null): Snapshot {
    return { plan: this.#plan, revision: this.#revision, history: this.#histories.next(maker) };
  }

  /** The changes since a revision, in order; null if that is too far back, or the plan was replaced since. */
  changesSince(revision: number): Change[] | null {
    return this.#entriesSince(revision)?.flatMap(({ changes }) => changes) ?? null;
  }

  /** The changes since a revision, as an answer; without entries if the client has to read the plan again. */
  since(revision: number, maker: string | null = null): Answer {
    return this.#answer(revision, maker, { faults: [] });
  }

  /** The steps before a revision, the newest first, however long ago.
   * @param most How many at most.
   * @param about Only steps that name this id. */
  trailBefore(revision: number, most: number, about?: string): Promise<TrailEntry[]> {
    return this.#inTurn(() => readTrailBefore(this.#database, revision, most, about));
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

  /** Settles one request on the newest plan, in one transaction with its trail entry and revision; answers when it is on
   * the disk.
   * @param base The revision the asker saw. What has changed since is in the answer; where it touched the same rows,
   * the request is refused. */
  async settle(request: Request, maker: Maker, base: number, at: string): Promise<Answer> {
    const answer = await this.#inTurn(async () => {
      if (request.key !== undefined && (await this.#knows(request.key))) return this.#answer(base, maker.id, { faults: [] });
      const fault = await this.#roomFault(LEAST_ROOM);
      const step =
        fault ?? (request.kind === "edit" ? await this.#editStep(request, base, maker) : await this.#historyStep(request, maker.id));
      if ("faults" in step) return this.#answer(base, maker.id, step);
      const { plan, ...made } = step;
      const common = {
        revision: this.#revision + 1,
        at,
        actor: maker.actor,
        maker: maker.id,
        key: request.key ?? null,
        kind: request.kind,
      };
      const entry: JournalEntry = { ...common, ...made, edit: request.kind === "edit" ? request.edit : null };
      await this.#keep(entry, (sql) => writeChanges(sql, entry.changes));
      this.#plan = plan;
      this.#advance(entry);
      return this.#answer(base, maker.id, { faults: [] });
    });
    await this.#flushed();
    return answer;
  }

  /** Replaces the whole plan; the old one is kept as a file in the folder's `copies`.
   * @returns Where the old plan lies, or null where there was none.
   * @throws {CodedError} "noRoom" where the disk has too little room. */
  async replace(plan: Plan, actor: string, at: string, onPart?: OnPart): Promise<{ revision: number; backup: string | null }> {
    const replaced = await this.#inTurn(async () => {
      const fault = await this.#roomFault(roomFor(plan));
      if (fault) throw new CodedError("noRoom", fault.faults[0].message);
      const backup = this.isNew ? null : await writeCopy(this.folder, this.#plan, this.#revision, at);
      const revision = this.#revision + 1;
      const words = `open the plan "${plan.settings.name}"`;
      const copy = await announceCopy(this.folder, plan, revision, at);
      const none = { of: null, edit: null, changes: [], key: null, maker: null };
      const entry: JournalEntry = { revision, at, actor, kind: "replace", words, copy, ...none };
      try {
        await this.#keep(entry, (sql) => writeWholePlan(sql, plan, this.isNew ? null : this.#plan, onPart));
      } catch (error) {
        await withdrawCopy(this.folder, copy);
        throw await this.#asNoRoom(error, roomFor(plan));
      }
      await confirmCopy(this.folder, copy);
      // A new plan has no earlier copy, so a second one is written in case the first is damaged.
      await writeCopy(this.folder, plan, revision, new Date(Date.parse(at) + 1).toISOString());
      this.#plan = plan;
      this.#advance(entry);
      return { revision, backup: backup && join(copiesFolder(this.folder), backup) };
    });
    await this.#flushed();
    return replaced;
  }

  /** The plan as it was at a revision; null where that is no longer held. */
  async planAt(revision: number): Promise<Plan | null> {
    const copy = await newestCopy(this.folder, revision);
    if (!copy) return null;
    // The journal may begin later than this copy; the trail of the database does not.
    const [trail, journal] = [await readTrail(this.#database, { since: copy.revision }), await this.#journal.since(copy.revision)];
    const held = await follow(this.folder, copy, ordered([...trail, ...journal]), revision);
    return held.revision === revision && isComplete(held) ? held.plan : null;
  }

  /** Reads the whole journal, line by line. */
  verifyJournal(): Promise<JournalState> {
    return this.#journal.verify();
  }

  /** Takes nothing more, waits for what is under way, then closes the database and gives the folder back. */
  close(): Promise<void> {
    this.#closing ??= this.#close();
    return this.#closing;
  }

  async #close(): Promise<void> {
    this.#closed ??= "The server is being stopped. This change was not made; it is kept and sent again.";
    await this.#queue.catch(() => {});
    await this.#copies.close();
    await this.#journal.close().catch(() => {});
    await this.#database.close().finally(this.giveBack);
  }

  /** Another process owns the folder now, so further writes would be lost. */
  #lose(): void {
    this.#closed ??= `Another process has taken over the data folder ${this.folder}. Nothing more is saved here.`;
    process.stderr.write(`${this.#closed}\n`);
  }

  #inTurn<T>(work: () => Promise<T>): Promise<T> {
    if (this.#closed !== null) return Promise.reject(storeClosed(this.#closed));
    const turn = this.#queue.then(work, work);
    this.#queue = turn.catch(() => {});
    return turn;
  }

  /** Writes an entry to database and journal, or to neither. */
  async #keep(entry: JournalEntry, write: (sql: Parameters<typeof writeTrail>[0]) => Promise<void>): Promise<void> {
    let takeOff = async () => {};
    try {
      await this.#database.transaction(async (sql) => {
        await write(sql);
        await writeTrail(sql, entry);
        takeOff = await this.#journal.append(entry);
      });
    } catch (error) {
      await takeOff();
      throw error;
    }
  }

  /** A disk that does not take what it has acknowledged is not written to again. */
  async #flushed(): Promise<void> {
    try {
      await this.#journal.flush();
    } catch (error) {
      this.#closed = `The disk that holds the plan cannot be written (${messageOf(error)}). Nothing more is saved until the server is started again.`;
      throw storeClosed(this.#closed);
    }
    // Reported in a turn of their own: the person who made the change is answered first.
    for (const listener of this.#listeners) setImmediate(listener);
  }

  async #roomFault(needed: number): Promise<Refusal | null> {
    const room = await this.options.roomOf(this.folder);
    return room >= needed ? null : { faults: [{ place: "", message: faultText.noRoom(Math.floor(room / 1e6), Math.ceil(needed / 1e6)) }] };
  }

  /** An error of a disk that became full meanwhile, in the words for that. */
  async #asNoRoom(error: unknown, needed: number): Promise<unknown> {
    const isFull = codeOf(error) === "ENOSPC" || /no space left/i.test(messageOf(error));
    if (!isFull) return error;
    const room = await this.options.roomOf(this.folder);
    return new CodedError("noRoom", faultText.noRoom(Math.floor(room / 1e6), Math.ceil(needed / 1e6)));
  }

  /** An edit made on the plan as it is now; refused where it meets what others have done since its maker looked. */
  async #editStep({ edit, madeOn, after = [] }: EditRequest, base: number, { name }: Maker): Promise<Step | Refusal> {
    const since = await this.#othersSince(madeOn ?? base, after);
    if ("faults" in since) return since;
    const outcome = applyEdit(this.#plan, edit);
    if (!outcome.plan) return { faults: outcome.faults };
    if (name !== undefined && !isInOwnName(outcome.plan, outcome.changes, name))
      return { faults: [{ place: edit.kind, message: faultText.otherName() }] };
    const editConflicts = findEditConflicts(since.changes, outcome.changes);
    if (editConflicts.length > 0)
      return { faults: [{ place: edit.kind, message: faultText.changedMeanwhile(listWords[editConflicts[0].list]) }], editConflicts };
    return { plan: outcome.plan, changes: outcome.changes, words: outcome.words, of: null };
  }

  /** One's own step undone, or brought again, on the plan as it is now; refused where others have changed the same. */
  async #historyStep({ kind, of, ofKey, partly }: StepRequest, maker: string | null): Promise<Step | Refusal> {
    const wanted = ofKey === undefined ? of : ((await revisionOfKey(this.#database, ofKey)) ?? 0);
    const step = this.#histories.find(maker, kind, wanted);
    if (!step) return { faults: [{ place: kind, message: wanted === undefined ? faultText.nothingTo(kind) : faultText.stepGone(kind) }] };
    const isAbout = (entry: TrailEntry) => entry.revision === step.revision || entry.of === step.revision;
    const made = this.#entries.findLast(isAbout) ?? (await readEntryAbout(this.#database, step.revision));
    const { changes, editConflicts } = undoStep(this.#plan, made?.changes ?? []);
    if (editConflicts.length > 0 && (!partly || changes.length === 0)) {
      const rows = new Set(changes.map(({ list, id }) => `${list} ${id}`));
      return { faults: [{ place: kind, message: faultText.changedSince(kind, step.words) }], editConflicts, undoableRows: rows.size };
    }
    const plan = applyChanges(this.#plan, changes);
    const faults = faultsAfter(plan, changes);
    return faults.length > 0 ? { faults } : { plan, changes, words: step.words, of: step.revision };
  }

  /** The changes since a revision, except for some edits; entries that are no longer in memory are read from the database. */
  async #othersSince(revision: number, but: readonly string[]): Promise<{ changes: Change[] } | Refusal> {
    if (revision > this.#revision) return { faults: [{ place: "", message: faultText.madeAhead() }] };
    const isAtHand = revision >= (this.#entries[0]?.revision ?? this.#revision + 1) - 1;
    const entries: TrailEntry[] = isAtHand
      ? this.#entries.filter((entry) => entry.revision > revision)
      : await readTrail(this.#database, { since: revision });
    const isWhole = entries.length === this.#revision - revision;
    if (!isWhole || entries.some(({ kind }) => kind === "replace"))
      return { faults: [{ place: "", message: faultText.replacedMeanwhile() }] };
    const others = entries.filter(({ key }) => key === null || !but.includes(key));
    return { changes: others.flatMap(({ changes }) => changes) };
  }

  /** True where a request of this key has been settled, however long ago. */
  async #knows(key: string): Promise<boolean> {
    return this.#entries.some((known) => known.key === key) || (await revisionOfKey(this.#database, key)) !== null;
  }

  #advance({ edit: _, copy: __, ...entry }: JournalEntry): void {
    this.#revision = entry.revision;
    this.#entries = [...this.#entries, entry].slice(-this.options.keptEntries);
    this.#histories.follow(entry);
    this.#copies.consider(this.#plan, entry);
  }

  /** Entries are null where the asker is too far behind, or the plan was replaced: it has to read the plan again. */
  #answer(base: number, maker: string | null, refusal: Refusal): Answer {
    const entries = this.#entriesSince(base)?.map(({ maker: _, key: __, ...reported }) => reported) ?? null;
    return { revision: this.#revision, entries, history: this.#histories.next(maker), ...refusal };
  }

  #entriesSince(base: number): TrailEntry[] | null {
    const missed = this.#entries.filter(({ revision }) => revision > base);
    return missed.length === this.#revision - base && missed.every(({ kind }) => kind !== "replace") ? missed : null;
  }
}

/** Makes a data folder where there is none, and takes it for this process.
 * @throws Error naming the folder where it cannot be written. */
async function ownFolder(path: string, now: Date, onLost: () => void): Promise<() => Promise<void>> {
  try {
    await makeFolder(path);
    await chmod(path, 0o700);
    return await takeFolder(path, now.toISOString(), onLost);
  } catch (error) {
    throw isUnwritable(error) ? new Error(`The data folder ${path} cannot be written (${messageOf(error)}). ${HOW_TO_WRITE}`) : error;
  }
}

const HOW_TO_WRITE = "Give this user the right to write there, or set ROSTER_DATA to another folder.";
const isUnwritable = (error: unknown): boolean => ["EROFS", "EACCES", "EPERM", "ENOTDIR", "EEXIST"].includes(codeOf(error) ?? "");

/** The store takes nothing more; the message says why. */
const storeClosed = (message: string): CodedError => new CodedError("storeClosed", message);
