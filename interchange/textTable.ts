// Tables as rows of texts, as they come out of a file and go into one.
import { CodedError } from "../core/values/errors.ts";

/** A sheet as rows of texts. */
export interface TextTable {
  name: string;
  rows: string[][];
  /** True where the figures are amounts of money: a workbook shows them with two decimals and thousands apart. */
  isMoney?: boolean;
  /** The delimiter between the cells of a CSV file. */
  delimiter?: string;
}

/** A file cannot be read; the message says why and what to do. */
export class UnreadableFile extends CodedError {
  constructor(message: string) {
    super("unreadableFile", message);
  }
}
