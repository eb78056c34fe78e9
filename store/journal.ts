// Every revision, appended to a file and flushed before it is answered. The database can be made again from a copy of the
// plan and what the journal holds after it.
import { existsSync } from "node:fs";
import { type FileHandle, readdir, readFile, rm } from "node:fs/promises";
import { join } from "node:path";
import { gapsOf, type Run, runsOf } from "../core/values/runs.ts";
import { flushFolder, makeFolder, openOwn, writeWhole } from "./files.ts";
import { type JournalEntry, lineOf, linesIn, ordered } from "./journalLines.ts";

/** A new file is begun beyond this size, so that opening reads little. */
const FILE_BYTES = 4_000_000;

export type Flush = (file: FileHandle) => Promise<void>;

const flushFile: Flush = (file) => file.datasync();

/** The end of a file that is no whole line, and the file in which it is kept. */
export interface CutEnd {
  bytes: number;
  file: string;
}

/** The state of a journal after reading all its files. */
export interface JournalState {
  files: number;
  lines: number;
  /** The first and the last revision; 0 where there is none. */
  first: number;
  last: number;
  /** Lines that are not as they were written: the file, and the number of the line from 1 on. */
  damaged: { file: string; line: number }[];
  /** Revisions between the first and the last that have no line. */
  missing: Run[];
}

export class Journal {
  #file: FileHandle | null = null;
  #size = 0;
  #isFileFull = false;
  /** True where something was appended that no flush has begun to write. */
  #isDirty = false;
  #flushing: Promise<void> = Promise.resolve();
  #nextFlush: Promise<void> | null = null;

  private constructor(
    private readonly folder: string,
    /** The newest revision when it was opened; 0 where there was none. */
    readonly last: number,
    private readonly flushTo: Flush,
  ) {}

  /** Opens the journal of a data folder. The part of a line at the end is put aside in a file of its own.
   * @returns The journal, and what was put aside; null where the last line is whole. */
  static async open(folder: string, flushTo: Flush = flushFile): Promise<{ journal: Journal; cut: CutEnd | null }> {
    const own = join(folder, "journal");
    await makeFolder(own);
    const names = await fileNames(own);
    const name = names.at(-1);
    if (name === undefined) return { journal: new Journal(own, 0, flushTo), cut: null };
    const path = join(own, name);
    const bytes = await readFile(path);
    const { entries, end, tail } = linesIn(bytes);
    // A line whose last byte alone is damaged has been written as a whole.
    const cut = end < bytes.length && !tail ? await putAside(own, name, bytes.subarray(end)) : null;
    const last = Math.max(revisionOf(name) - 1, ...[...entries, ...(tail ? [tail] : [])].map(({ revision }) => revision));
    const journal = new Journal(own, last, flushTo);
    journal.#file = await openOwn(path);
    journal.#size = end;
    await journal.#file.truncate(end);
    if (tail) await journal.append(tail);
    return { journal, cut };
  }

  /** Appends an entry; it is not safe before `flush` is done. @returns Takes it off again. */
  async append(entry: JournalEntry): Promise<() => Promise<void>> {
    const file = await this.#fileFor(entry.revision);
    const bytes = lineOf(entry);
    const size = this.#size;
    this.#isDirty = true;
    const takeOff = async () => {
      await file.truncate(size);
      this.#size = size;
    };
    try {
      for (let done = 0; done < bytes.length; ) done += (await file.write(bytes, done, bytes.length - done, size + done)).bytesWritten;
    } catch (error) {
      await takeOff();
      throw error;
    }
    this.#size += bytes.length;
    return takeOff;
  }

  /** Done when everything appended so far is on the disk. Calls while one flush is under way share the next. */
  flush(): Promise<void> {
    this.#nextFlush ??= this.#flushing
      .catch(() => undefined)
      .then(() => {
        this.#nextFlush = null;
        this.#isDirty = false;
        this.#flushing = this.#file ? this.flushTo(this.#file) : Promise.resolve();
        return this.#flushing;
      });
    return this.#nextFlush;
  }

  /** All entries after a revision, in the order of their revisions, each once. Some may be missing: lines that are damaged are
   * passed over. */
  async since(revision: number): Promise<JournalEntry[]> {
    const names = await fileNames(this.folder);
    const first = Math.max(
      0,
      names.findLastIndex((name) => revisionOf(name) <= revision + 1),
    );
    const all: JournalEntry[] = [];
    for (const name of names.slice(first)) all.push(...linesIn(await readFile(join(this.folder, name))).entries);
    return ordered(all).filter((entry) => entry.revision > revision);
  }

  /** Reads all files and looks at every line. */
  async verify(): Promise<JournalState> {
    return verifyJournal(this.folder);
  }

  /** Begins a new file with the next entry, so that files can be removed up to it. */
  beginFile(): void {
    this.#isFileFull = true;
  }

  /** Removes the files that hold nothing after a revision. */
  async dropUpTo(revision: number): Promise<void> {
    const names = await fileNames(this.folder);
    const dropped = names.filter((_, at) => at + 1 < names.length && revisionOf(names[at + 1]) <= revision + 1);
    for (const name of dropped) await rm(join(this.folder, name), { force: true });
    if (dropped.length > 0) await flushFolder(this.folder);
  }

  async close(): Promise<void> {
    await this.flush();
    await this.#closeFile();
  }

  async #closeFile(): Promise<void> {
    await (this.#isDirty ? this.flush() : this.#flushing.catch(() => undefined));
    await this.#file?.close();
    this.#file = null;
  }

  async #fileFor(revision: number): Promise<FileHandle> {
    if (this.#file && this.#size < FILE_BYTES && !this.#isFileFull) return this.#file;
    await this.#closeFile();
    const path = join(this.folder, `${String(revision).padStart(9, "0")}.jsonl`);
    const isThere = existsSync(path);
    this.#file = await openOwn(path);
    // A file of this name has lines of an earlier attempt, which must not be lost: new lines are appended to it.
    this.#size = isThere ? (await this.#file.stat()).size : 0;
    this.#isFileFull = false;
    await flushFolder(this.folder);
    return this.#file;
  }
}

/** Reads the journal files of a folder and looks at every line; the event loop is free between two files. */
export async function verifyJournal(folder: string): Promise<JournalState> {
  const names = await fileNames(folder);
  const revisions = new Set<number>();
  const damaged: JournalState["damaged"] = [];
  let lines = 0;
  for (const name of names) {
    const read = linesIn(await readFile(join(folder, name)));
    lines += read.entries.length;
    for (const { revision } of read.entries) revisions.add(revision);
    damaged.push(...read.damaged.map((line) => ({ file: name, line })));
    await new Promise(setImmediate);
  }
  const sorted = [...revisions].sort((a, b) => a - b);
  const missing = gapsOf(runsOf(sorted));
  return { files: names.length, lines, first: sorted[0] ?? 0, last: sorted.at(-1) ?? 0, damaged, missing };
}

/** Writes bytes to a file that is not there yet. */
async function putAside(folder: string, name: string, bytes: Uint8Array): Promise<CutEnd> {
  let number = 1;
  while (existsSync(join(folder, `${name}.cut-${number}`))) number++;
  const file = `${name}.cut-${number}`;
  await writeWhole(join(folder, file), bytes);
  return { bytes: bytes.length, file };
}

async function fileNames(folder: string): Promise<string[]> {
  return (await readdir(folder).catch(() => [])).filter((name) => /^\d+\.jsonl$/.test(name)).sort();
}

const revisionOf = (name: string): number => Number(name.split(".")[0]);
