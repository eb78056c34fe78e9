// The description of a table's columns, and their widths.
import type { ReactNode } from "react";

/** Editing in place: what is in the field, what a typed text means, and where it goes. */
export interface CellEdit<R> {
  write: (row: R) => string;
  /** Null where the text means nothing that can be saved. */
  read: (text: string) => { value: unknown } | null;
  /** The hint about valid input, shown when a text is refused. */
  says: string;
  onSave: (row: R, text: string) => void;
}

export interface TableColumn<R> {
  id: string;
  head: string;
  /** Is in the heading in place of its text, such as the periods of a chart. */
  headNode?: ReactNode;
  /** Explains the heading where a person points at it. */
  says?: string;
  /** The least width in pixels; `grow` is its share of what is left over, 0 for none. */
  width: number;
  grow?: number;
  /** Figures are on the right and are sorted from the largest on. */
  isFigure?: boolean;
  /** Names the row; there is one in each table. */
  isRowHead?: boolean;
  /** Stays in sight while the others scroll. */
  isSticky?: boolean;
  /** Holds a chart: the cell has no padding of its own. */
  isBare?: boolean;
  /** The least part of the table's whole width that it takes, from 0 to 1; others give way for it. */
  share?: number;
  /** Set apart from the columns before it by an edge that is dragged all the way down. */
  hasDivider?: boolean;
  /** Gives way where there is no room; with a number, the higher the sooner. */
  yields?: boolean | number;
  /** The sort key and copied value of the row; a column without it has neither. Null is last. */
  value?: (row: R) => string | number | null;
  /** The copied text if it differs from the sort key. */
  copied?: (row: R) => string;
  cell: (row: R) => ReactNode;
  /** The text for screen readers and on hover in place of the figure alone. */
  cellSays?: (row: R) => string | undefined;
  /** Shown on hover next to what the cell says by itself. */
  cellTitle?: (row: R) => string | undefined;
  look?: (row: R) => string | false | undefined;
  foot?: ReactNode;
  edit?: (row: R) => CellEdit<R> | null;
  /** A key pressed in the cell; true where it was meant for it. */
  onKey?: (row: R, key: string) => boolean;
}

/** Widths set by hand, in pixels by column. */
export type Widths = Readonly<Record<string, number>>;

const LEAST = 40;

/** A width as it may be set by hand. */
export function widthWithin(width: number): number {
  return Math.max(LEAST, Math.min(900, Math.round(width)));
}

/** The least width of a column, in pixels. */
const leastOf = ({ width, share = 0 }: TableColumn<never>, room: number): number => Math.max(width, Math.floor(share * room));

/** The tracks of a grid for these columns.
 * @param room The table's whole width. */
export function tracksOf(columns: readonly TableColumn<never>[], widths: Widths, room: number): string {
  return columns
    .map((column) => {
      const { id, grow = 0 } = column;
      const least = leastOf(column, room);
      return widths[id] ? `${widths[id]}px` : grow > 0 ? `minmax(${least}px,${grow}fr)` : `${least}px`;
    })
    .join(" ");
}

/** The least width of the columns, in pixels. */
export function leastWidth(columns: readonly TableColumn<never>[], widths: Widths, room: number): number {
  return columns.reduce((sum, column) => sum + (widths[column.id] ?? leastOf(column, room)), 0);
}

/** The columns there is room for: of those that yield the one of the highest rank goes first, of one rank the last.
 * @param kept The column one works in, which stays. */
export function columnsThatFit<R>(
  columns: readonly TableColumn<R>[],
  widths: Widths,
  room: number,
  kept: string | null = null,
): readonly TableColumn<R>[] {
  const ranked = columns
    .map(({ id, yields }, at) => ({ id, at, rank: yields === true ? 0 : yields || -1 }))
    .filter(({ id, rank }) => rank >= 0 && id !== kept)
    .sort((a, b) => b.rank - a.rank || b.at - a.at);
  let shown = columns;
  for (const { id } of ranked) {
    if (leastWidth(shown, widths, room) <= room) break;
    shown = shown.filter((own) => own.id !== id);
  }
  return shown;
}
