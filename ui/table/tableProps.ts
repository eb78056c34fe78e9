// The properties that a view gives a table, with or without levels.
import type { KeyboardEvent, ReactNode } from "react";
import type { BlockActions } from "./blocks.ts";
import type { TableColumn } from "./column.ts";
import type { Section } from "./lines.ts";

export interface Ticks {
  ticked: ReadonlySet<string>;
  onTick: (ids: readonly string[], isOn: boolean) => void;
  /** "all people": what the box in the heading ticks; null leaves that box out. */
  what: string | null;
  /** The name of a row's checkbox; "Select" and the row's name if it is left out. */
  says?: (name: string) => string;
}

export interface TableProps<R> {
  /** In small letters: begins the ids of rows, and widths are kept under it. */
  name: string;
  label: string;
  columns: readonly TableColumn<R>[];
  sections: readonly Section<R>[];
  idOf: (row: R) => string;
  /** The name of a row for screen readers. */
  nameOf: (row: R) => string;
  rowHeight?: number;
  headHeight?: number;
  selectedId?: string | null;
  onOpen?: (row: R) => void;
  /** Opens what the arrow keys walk to, where opening costs nothing. */
  followsKeys?: boolean;
  ticks?: Ticks;
  /** Cells can be marked as a block, copied, pasted, cleared and filled. */
  blocks?: BlockActions<R>;
  /** Keys of the view itself, looked at first, with the column in focus; true where one was meant. */
  onKey?: (event: KeyboardEvent, row: R, column: string | null) => boolean;
  /** Is where no row is left. */
  empty?: ReactNode;
  /** A screen with two tables keeps the order of one of them out of the address. */
  sortIn?: "address" | "here";
  /** A table of few columns whose headings would say nothing new. */
  isHeadless?: boolean;
  /** False where it is in a frame already. */
  isFramed?: boolean;
  /** Takes no more height than its rows need: another table is on the same screen. */
  isShort?: boolean;
  /** Drawn over the rows, such as links between bars; given the height of all rows. */
  overlay?: { column: string; draw: (rows: readonly R[], height: number) => ReactNode };
  rowLook?: (row: R) => string | false | undefined;
  parentOf?: (row: R) => string | undefined;
  folded?: readonly string[];
  onFold?: (id: string) => void;
}
