// What reading a whole journal has found, in sentences: for the log of a start, and for the doctor.
import type { JournalState } from "./journal.ts";

/** Damaged lines and missing revisions of a journal, in sentences. */
export function journalFaults({ damaged, missing }: JournalState): string[] {
  const runs = missing.map(({ from, to }) => (from === to ? `revision ${from}` : `revisions ${from} to ${to}`));
  if (runs.length > 0) return [`The journal lacks ${runs.join(", ")}. Copies made after them are not affected.`];
  if (damaged.length === 0) return [];
  const places = damaged.map(({ file, line }) => `journal/${file} line ${line}`);
  return [`Damaged lines of the journal, each written again elsewhere: ${places.join(", ")}.`];
}
