// The lines of a journal file: a checksum, then a revision as JSON. A line that is damaged is passed over; those after it are read.
import { isObject } from "../core/values/isObject.ts";
import { checksum } from "./files.ts";
import type { MadeEntry } from "./trail.ts";

/** A revision as the journal keeps it. */
export interface JournalEntry extends MadeEntry {
  /** When a whole plan was opened: the name of its copy. */
  copy?: string;
}

const NEWLINE = 10;
const CHECKSUM_LETTERS = 8;

/** An entry as its line. */
export function lineOf(entry: JournalEntry): Buffer {
  const text = JSON.stringify(entry);
  return Buffer.from(`${checksum(text)} ${text}\n`);
}

interface Lines {
  entries: JournalEntry[];
  /** Numbers of damaged lines, from 1 on. */
  damaged: number[];
  /** The end of the last line that ends in this file. */
  end: number;
  /** A whole entry after that, without the end of its line. */
  tail: JournalEntry | null;
}

/** Reads the lines of a file. */
export function linesIn(bytes: Buffer): Lines {
  const entries: JournalEntry[] = [];
  const damaged: number[] = [];
  let [end, line] = [0, 0];
  for (let next = bytes.indexOf(NEWLINE); next >= 0; next = bytes.indexOf(NEWLINE, end)) {
    line++;
    const found = entriesIn(bytes.subarray(end, next));
    entries.push(...found);
    if (found.length === 0) damaged.push(line);
    end = next + 1;
  }
  const rest = bytes.subarray(end);
  return { entries, damaged, end, tail: entryIn(rest) ?? entryIn(rest.subarray(0, -1)) };
}

/** The entry of a line; two where the end of the first line is damaged. */
function entriesIn(line: Buffer): JournalEntry[] {
  const whole = entryIn(line);
  if (whole) return [whole];
  // Each line begins with its checksum before {"revision".
  for (let at = line.indexOf(' {"revision":', CHECKSUM_LETTERS + 2); at >= 0; at = line.indexOf(' {"revision":', at + 1)) {
    const begin = at - CHECKSUM_LETTERS;
    const second = entryIn(line.subarray(begin));
    const first = second && entryIn(line.subarray(0, begin - 1));
    if (second) return first ? [first, second] : [second];
  }
  return [];
}

function entryIn(line: Buffer): JournalEntry | null {
  const text = line.subarray(CHECKSUM_LETTERS + 1);
  if (text.length === 0 || line.subarray(0, CHECKSUM_LETTERS).toString("latin1") !== checksum(text)) return null;
  const entry: unknown = JSON.parse(text.toString("utf8"));
  return isObject(entry) && Number.isInteger(entry.revision) ? (entry as unknown as JournalEntry) : null;
}

/** Entries in the order of their revisions, each revision once. */
export function ordered(entries: readonly JournalEntry[]): JournalEntry[] {
  const byRevision = new Map(entries.map((entry) => [entry.revision, entry]));
  return [...byRevision.values()].sort((a, b) => a.revision - b.revision);
}
