// Reading the row of a file: what its cells say, and every reason why one of them cannot be taken.
import { stated } from "../plan/stated.ts";
import type { Read } from "./cells.ts";
import type { Cell, TableRecord } from "./table.ts";

export class RowReading {
  readonly reasons: string[] = [];

  constructor(readonly record: TableRecord) {}

  /** The text of a cell; null for an empty one and for a column that is not there. */
  text(column: string): Cell | null {
    const cell = this.record[column];
    return cell?.trim() ? cell : null;
  }

  /** What was read; undefined, with its reason kept, where nothing could be. */
  take<T>(read: Read<T>): T | undefined {
    if ("value" in read) return read.value;
    this.reasons.push(read.reason);
    return undefined;
  }

  /** What a cell says that is filled in. */
  cell<T>(column: string, read: (cell: Cell) => Read<T>): T | undefined {
    const text = this.text(column);
    return text === null ? undefined : this.take(read(text));
  }
}

/** A row with what was read of it; a key whose cell was emptied goes. Whether it is one of its list is for the schema to say. */
export function rowRead<T extends object>(base: Partial<T>, set: Readonly<Partial<Record<keyof T, unknown>>>): T {
  const row: unknown = stated({ ...base, ...set });
  return row as T;
}
