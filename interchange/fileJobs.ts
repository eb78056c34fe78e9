// Jobs on files, apart from everything else: each as a message in and a message out.
import type { Fault } from "../core/plan/faults.ts";
import { parsePlan } from "../core/plan/parse.ts";
import type { Plan } from "../core/plan/schema.ts";
import { readTable } from "./readTable.ts";
import { type TextTable, UnreadableFile } from "./textTable.ts";
import { writeXlsx } from "./xlsx.ts";

export type FileJob =
  | { kind: "readTable"; bytes: Uint8Array; name: string }
  | { kind: "readPlan"; bytes: Uint8Array }
  /** The tables as JSON: one text passes to a thread many times faster than a million cells. */
  | { kind: "writeXlsx"; tables: string };

/** The result of each job. */
export interface FileResults {
  readTable: { tables: TextTable[]; note: string | null };
  readPlan: { plan: Plan | null; faults: readonly Fault[] };
  writeXlsx: Uint8Array<ArrayBuffer>;
}

/** A job's message back: its result, or why the file cannot be read. */
export type FileAnswer<K extends keyof FileResults = keyof FileResults> = { result: FileResults[K] } | { refused: string };

export async function answerJob(job: FileJob): Promise<FileAnswer> {
  try {
    return { result: await resultOf(job) };
  } catch (error) {
    if (error instanceof UnreadableFile) return { refused: error.message };
    throw error;
  }
}

async function resultOf(job: FileJob): Promise<FileResults[keyof FileResults]> {
  switch (job.kind) {
    case "readTable":
      return readTable(job.bytes, job.name);
    case "readPlan":
      return parsePlan(Buffer.from(job.bytes).toString("utf8"));
    case "writeXlsx":
      return new Uint8Array(await writeXlsx(JSON.parse(job.tables)));
  }
}
