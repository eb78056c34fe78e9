// CSV (RFC 4180): read with whatever delimiter, written with commas and with cells that no spreadsheet runs.
import { parse } from "csv-parse/sync";
import { stringify } from "csv-stringify/sync";
import { UnreadableFile } from "./textTable.ts";

const DELIMITERS = [",", ";", "\t", "|"];

/** The rows of a CSV text, as texts.
 * @throws {UnreadableFile} where quotes do not match, with the line. */
export function readCsv(text: string): string[][] {
  try {
    return parse(text, { bom: true, delimiter: delimiterOf(text), relax_column_count: true, skip_empty_lines: true, relax_quotes: true });
  } catch (error) {
    const { lines } = error as { lines?: number };
    throw new UnreadableFile(
      `This file could not be read as CSV${lines === undefined ? "" : ` from line ${lines} on`}: ${(error as Error).message}. Look at the quotes there.`,
    );
  }
}

/** The delimiter that the first line has most of, outside quotes. */
function delimiterOf(text: string): string {
  const line = text.slice(0, text.search(/\r|\n|$/)).replaceAll(/"[^"]*"/g, "");
  const counts = DELIMITERS.map((delimiter) => line.split(delimiter).length);
  return DELIMITERS[counts.indexOf(Math.max(...counts))];
}

/** Rows as CSV, UTF-8 with a mark that spreadsheets know it by. */
export function writeCsv(rows: readonly (readonly string[])[]): string {
  return stringify(
    rows.map((row) => row.map(safeCell)),
    { bom: true, record_delimiter: "windows" },
  );
}

/** A cell that a spreadsheet would run as a formula gets an apostrophe; numbers stay numbers. */
export function safeCell(cell: string): string {
  return /^[=+@\t\r-]/.test(cell) && !/^[-+]?\d+([.,]\d+)?$/.test(cell) ? `'${cell}` : cell;
}
