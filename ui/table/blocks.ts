// Cells marked as one block, as in a spreadsheet: from where the marking began to where one is now.
import type { TableColumn } from "./column.ts";
import { cellText } from "./copied.ts";

/** Rows and ids of columns, in the order they are shown. */
export interface Block<R> {
  rows: readonly R[];
  columns: readonly string[];
}

/** The actions of a table on blocks; without them cells are not selected. */
export interface BlockActions<R> {
  /** Texts for the cells from the first row and column of `block` on: rows of cells. The block holds all rows and columns from there. */
  onPaste: (block: Block<R>, cells: readonly (readonly string[])[]) => void;
  onClear: (block: Block<R>) => void;
  /** The first row's or column's cells go into all others. */
  onFill: (block: Block<R>, way: "down" | "right") => void;
}

interface Corner {
  key: string;
  column: string | null;
}

/** From which to which row and column a block reaches, both included; null where none is marked. */
export interface Marked {
  top: number;
  bottom: number;
  left: number;
  right: number;
}

/** The block between two cells; that of one cell where nothing was marked. */
export function markedBetween(keys: readonly string[], columns: readonly string[], anchor: Corner | null, active: Corner): Marked | null {
  const from = anchor ?? active;
  const [top, bottom] = [keys.indexOf(from.key), keys.indexOf(active.key)].sort((a, b) => a - b);
  const [left, right] = [columns.indexOf(from.column ?? ""), columns.indexOf(active.column ?? "")].sort((a, b) => a - b);
  return top < 0 || left < 0 ? null : { top, bottom, left, right };
}

/** Cells copied from a spreadsheet, as rows of texts; what ends the last line is no further row. */
export function cellsOfText(text: string): string[][] {
  return text
    .replace(/(\r?\n)+$/, "")
    .split(/\r?\n/)
    .map((line) => line.split("\t"));
}

/** A block as a spreadsheet takes it, without headings. */
export function textOfBlock<R>(rows: readonly R[], columns: readonly TableColumn<R>[]): string {
  return rows.map((row) => columns.map((column) => cellText(column, row)).join("\t")).join("\n");
}
