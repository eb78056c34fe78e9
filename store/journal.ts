// Every revision, appended to a file and flushed before it is answered. The database can be made again from a copy of the
// plan and what the journal holds after it.
import { type FileHandle, readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { checksum, flushFolder, makeFolder, openOwn, writeWhole } from "./files.ts";
import type { MadeEntry } from "./trail.ts";

/** A revision as the journal keeps it. */
export interface JournalEntry extends MadeEntry {
  /** Of a plan that was opened as a whole: the copy that holds it. */
  copy?: string;
}

/** A file is begun anew beyond this size, so that opening reads little. */
const FILE_BYTES = 4_000_000;

export type Flush = (file: FileHandle) => Promise<void>;

const flushFile: Flush = (file) => file.datasync();

/** Lines of one journal file that are whole, and where the whole ones end. */
interface Lines {
  entries: JournalEntry[];
  end: number;
}

export class Journal {
  #file: FileHandle | null = null;
  #size = 0;
  #flushing: Promise<void> = Promise.resolve();
  #nextFlush: Promise<void> | null = null;

  private constructor(
    private readonly folder: string,
    /** The newest revision when it was opened; 0 where there was none. */
    readonly last: number,
    private readonly flushTo: Flush,
  ) {}

  /** Opens the journal of a data folder. What a cut has left of a line at the end is put aside.
   * @returns The journal, and how many bytes were put aside. */
  static async open(folder: string, flushTo: Flush = flushFile): Promise<{ journal: Journal; cutBytes: number }> {
    const own = join(folder, "journal");
    await makeFolder(own);
    const name = (await fileNames(own)).at(-1);
    if (name === undefined) return { journal: new Journal(own, 0, flushTo), cutBytes: 0 };
    const path = join(own, name);
    const bytes = await readFile(path);
    const { entries, end } = wholeLines(bytes);
    if (end < bytes.length) await writeWhole(`${path}.cut`, bytes.subarray(end));
    const journal = new Journal(own, entries.at(-1)?.revision ?? revisionOf(name) - 1, flushTo);
    journal.#file = await openOwn(path);
    journal.#size = end;
    await journal.#file.truncate(end);
    return { journal, cutBytes: bytes.length - end };
  }

  /** Appends an entry; it is not safe before `flush` is done. @returns Takes it off again. */
  async append(entry: JournalEntry): Promise<() => Promise<void>> {
    const file = await this.#fileFor(entry.revision);
    const text = JSON.stringify(entry);
    const bytes = Buffer.from(`${checksum(text)} ${text}\n`);
    const size = this.#size;
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

  /** Done when everything appended so far is on the disk. Those who come while one flush is under way share the next. */
  flush(): Promise<void> {
    this.#nextFlush ??= this.#flushing
      .catch(() => undefined)
      .then(() => {
        this.#nextFlush = null;
        this.#flushing = this.#file ? this.flushTo(this.#file) : Promise.resolve();
        return this.#flushing;
      });
    return this.#nextFlush;
  }

  /** All entries after a revision that follow one upon the other. */
  async since(revision: number): Promise<JournalEntry[]> {
    const names = await fileNames(this.folder);
    const first = Math.max(
      0,
      names.findLastIndex((name) => revisionOf(name) <= revision + 1),
    );
    const entries: JournalEntry[] = [];
    for (const name of names.slice(first)) {
      for (const entry of wholeLines(await readFile(join(this.folder, name))).entries) {
        if (entry.revision <= revision) continue;
        if (entries.length > 0 && entry.revision !== entries[entries.length - 1].revision + 1) return entries;
        entries.push(entry);
      }
    }
    return entries;
  }

  async close(): Promise<void> {
    await this.flush();
    await this.#file?.close();
    this.#file = null;
  }

  async #fileFor(revision: number): Promise<FileHandle> {
    if (this.#file && this.#size < FILE_BYTES) return this.#file;
    await this.close();
    this.#file = await openOwn(join(this.folder, `${String(revision).padStart(9, "0")}.jsonl`));
    this.#size = 0;
    await this.#file.truncate(0);
    await flushFolder(this.folder);
    return this.#file;
  }
}

async function fileNames(folder: string): Promise<string[]> {
  return (await readdir(folder)).filter((name) => /^\d+\.jsonl$/.test(name)).sort();
}

const revisionOf = (name: string): number => Number(name.split(".")[0]);

function wholeLines(bytes: Buffer): Lines {
  const entries: JournalEntry[] = [];
  let end = 0;
  for (let next = bytes.indexOf(10); next >= 0; next = bytes.indexOf(10, end)) {
    const text = bytes.subarray(end + 9, next);
    if (bytes.subarray(end, end + 8).toString("latin1") !== checksum(text)) break;
    entries.push(JSON.parse(text.toString("utf8")));
    end = next + 1;
  }
  return { entries, end };
}
