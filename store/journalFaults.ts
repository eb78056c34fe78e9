// The faults of a journal in sentences, for the log at start and for the doctor.
import { type Run, runsOf } from "../core/values/runs.ts";
import type { JournalState } from "./journal.ts";

/** Damaged lines and missing revisions of a journal, in sentences. */
export function journalFaults({ damaged, missing }: JournalState): string[] {
  if (missing.length > 0) return [`The journal lacks ${runsText(missing)}. Copies made after them are not affected.`];
  if (damaged.length === 0) return [];
  const places = damaged.map(({ file, line }) => `journal/${file} line ${line}`);
  return [`Damaged lines of the journal, each written again elsewhere: ${places.join(", ")}.`];
}

/** Revisions in ascending order as text: "revision 7", or "revisions 7 to 9, 12". */
export const revisionsText = (revisions: readonly number[]): string => runsText(runsOf(revisions));

function runsText(runs: readonly Run[]): string {
  const isOne = runs.length === 1 && runs[0].first === runs[0].last;
  return `${isOne ? "revision" : "revisions"} ${runs.map(({ first, last }) => (first === last ? `${first}` : `${first} to ${last}`)).join(", ")}`;
}
