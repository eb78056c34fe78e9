// Reading the row of a file: what its cells say, and every reason why one of them cannot be taken.
import { stated } from "../values/stated.ts";
import { dateCell, type Read } from "./cells.ts";
import type { Cell, ReadOptions, TableRecord } from "./table.ts";

export class RowReading {
  readonly reasons: string[] = [];

  constructor(
    readonly record: TableRecord,
    readonly options: Pick<ReadOptions, "dateOrder" | "earliest">,
  ) {}

  /** Reads a date as the file writes its dates. */
  readonly date = (cell: Cell): Read<string> => dateCell(cell, this.options.dateOrder, this.options.earliest);

  /** The text of a cell; null for an empty one and for a column that is not there. */
  text(column: string): Cell | null {
    const cell = this.record[column];
    return cell?.trim() ? cell : null;
  }

  /** The value read; undefined, with its reason kept, if it could not be read. */
  take<T>(read: Read<T>): T | undefined {
    if ("value" in read) return read.value;
    this.reasons.push(read.reason);
    return undefined;
  }

  /** The value of a cell that is filled in. */
  cell<T>(column: string, read: (cell: Cell) => Read<T>): T | undefined {
    const text = this.text(column);
    return text === null ? undefined : this.take(read(text));
  }

  /** Sets a key to what a cell says: none where the cell is empty, and as it was where the file has no such column.
   * @param pick What of that the key has, such as the id of a row that was named. */
  put<K extends string, T>(
    set: Partial<Record<K, unknown>>,
    key: K,
    read: (cell: Cell) => Read<T>,
    column: string = key,
    pick: (value: T) => unknown = (value) => value,
  ): void {
    if (this.record[column] === undefined) return;
    const value = this.cell(column, read);
    set[key] = value === undefined ? undefined : pick(value);
  }
}

/** The values read from a row, by their keys. */
export type RowSet<T> = Partial<Record<keyof T, unknown>>;

/** A row with what was read of it; a key whose cell was emptied goes. Whether it is one of its list is for the schema to say. */
export function rowRead<T extends object>(base: Partial<T>, set: Readonly<RowSet<T>>): T {
  const row: unknown = stated({ ...base, ...set });
  return row as T;
}
