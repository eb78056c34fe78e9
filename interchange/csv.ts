// CSV (RFC 4180): read with any delimiter, written with commas and with cells that no spreadsheet runs.
import { parse } from "csv-parse/sync";
import { stringify } from "csv-stringify/sync";
import { FILE_LIMITS } from "../core/plan/limits.ts";
import { messageOf } from "../core/values/errors.ts";
import { isObject } from "../core/values/isObject.ts";
import { UnreadableFile } from "./textTable.ts";

// If two fit alike it is not the comma, which also occurs within numbers.
const DELIMITERS = [";", "\t", "|", ","];

/** The rows of a CSV text, as texts; blank lines are rows too, so that rows are counted as lines are.
 * @throws {UnreadableFile} where quotes do not match, with the line. */
export function readCsv(text: string, delimiter = delimiterOf(text)): string[][] {
  const counter = new SizeCounter();
  try {
    return parse(text, {
      bom: true,
      delimiter,
      relax_column_count: true,
      relax_quotes: true,
      on_record: (record: string[]) => counter.take(record),
    });
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    const lines = isObject(error) && typeof error.lines === "number" ? error.lines : undefined;
    throw new UnreadableFile(
      `This file could not be read as CSV${lines === undefined ? "" : ` from line ${lines} on`}: ${messageOf(error)}. Look at the quotes there.`,
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
      new UnreadableFile(`This file has more than ${count.toLocaleString("en-GB")} ${what}. Import it in parts.`);
    if (this.#rows > rows + 1) throw many(rows, "rows");
    if (record.length > columns) throw many(columns, `columns in row ${this.#rows.toLocaleString("en-GB")}`);
    if (this.#cells > cells) throw many(cells, "cells");
    if (record.some((cell) => cell.length > cellLetters)) throw many(cellLetters, `letters in a cell of row ${this.#rows}`);
    return record;
  }
}

const LOOKED_AT = 40;

/** The delimiter on which most of the first lines agree: a title above the header has none, a decimal comma comes and goes. */
export function delimiterOf(text: string): string {
  const lines = text
    .slice(0, 100_000)
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== "")
    .slice(0, LOOKED_AT)
    .map((line) => line.replaceAll(/"[^"]*"/g, ""));
  const scores = DELIMITERS.map((delimiter) => {
    const counts = lines.map((line) => line.split(delimiter).length - 1).filter((count) => count > 0);
    const agreeing = Math.max(0, ...counts.map((count) => counts.filter((other) => other === count).length));
    return { agreeing, most: Math.max(0, ...counts) };
  });
  const best = Math.max(...scores.map(({ agreeing }) => agreeing));
  const most = Math.max(...scores.filter(({ agreeing }) => agreeing === best).map((own) => own.most));
  return DELIMITERS[scores.findIndex((own) => own.agreeing === best && own.most === most)];
}

/** Rows as CSV, UTF-8 with a mark that spreadsheets know it by. */
export function writeCsv(rows: readonly (readonly string[])[], delimiter = ","): string {
  return stringify(
    rows.map((row) => row.map(safeCell)),
    { bom: true, delimiter, record_delimiter: "windows", quoted_match: /[\r\n;\t]/ },
  );
}

/** A cell that a spreadsheet would run as a formula gets an apostrophe; numbers stay numbers. Where a semicolon ends a cell,
 * as in many countries, what follows one begins a cell too. */
export function safeCell(cell: string): string {
  // Most cells of a large table are figures.
  if (/^\d[\d.]*$/.test(cell)) return cell;
  const inner = cell.replaceAll(/([;\t\r\n])(?=[=+@-])/g, "$1'");
  return /^[=+@\t\r-]/.test(cell) && !/^[-+]?\d+([.,]\d+)?$/.test(cell) ? `'${inner}` : inner;
}
