// Tables as rows of texts, as they come out of a file and go into one.

/** A sheet as rows of texts. */
export interface TextTable {
  name: string;
  rows: string[][];
  /** What stands between the cells of a CSV file. */
  delimiter?: string;
}

/** A file cannot be read; the message says why and what to do. */
export class UnreadableFile extends Error {}
