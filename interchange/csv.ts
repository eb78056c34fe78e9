// CSV (RFC 4180): read with whatever delimiter, written with commas and with cells that no spreadsheet runs.
import { parse } from "csv-parse/sync";
import { stringify } from "csv-stringify/sync";
import { FILE_LIMITS } from "../core/plan/limits.ts";
import { UnreadableFile } from "./textTable.ts";

const DELIMITERS = [",", ";", "\t", "|"];

/** The rows of a CSV text, as texts.
 * @throws {UnreadableFile} where quotes do not match, with the line. */
export function readCsv(text: string): string[][] {
  const counter = new SizeCounter();
  try {
    return parse(text, {
      bom: true,
      delimiter: delimiterOf(text),
      relax_column_count: true,
      skip_empty_lines: true,
      relax_quotes: true,
      on_record: (record: string[]) => counter.take(record),
    });
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    const { lines } = error as { lines?: number };
    throw new UnreadableFile(
      `This file could not be read as CSV${lines === undefined ? "" : ` from line ${lines} on`}: ${(error as Error).message}. Look at the quotes there.`,
    );
  }
}

/** Counts what is read while it is read. */
class SizeCounter {
  #rows = 0;
  #cells = 0;

  /** @throws {UnreadableFile} at the first row beyond what is read. */
  take(record: string[]): string[] {
    this.#rows++;
    this.#cells += record.length;
    const { rows, columns, cells, cellLetters } = FILE_LIMITS;
    const many = (count: number, what: string) =>
      new UnreadableFile(`This file has more than ${count.toLocaleString("en-GB")} ${what}. Bring it in parts.`);
    if (this.#rows > rows + 1) throw many(rows, "rows");
    if (record.length > columns) throw many(columns, `columns in row ${this.#rows.toLocaleString("en-GB")}`);
    if (this.#cells > cells) throw many(cells, "cells");
    if (record.some((cell) => cell.length > cellLetters)) throw many(cellLetters, `letters in a cell of row ${this.#rows}`);
    return record;
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
    { bom: true, record_delimiter: "windows", quoted_match: /[\r\n;\t]/ },
  );
}

/** A cell that a spreadsheet would run as a formula gets an apostrophe; numbers stay numbers. Where a semicolon ends a cell,
 * as in many countries, what follows one begins a cell too. */
export function safeCell(cell: string): string {
  const inner = cell.replaceAll(/([;\t\r\n])(?=[=+@-])/g, "$1'");
  return /^[=+@\t\r-]/.test(cell) && !/^[-+]?\d+([.,]\d+)?$/.test(cell) ? `'${inner}` : inner;
}
