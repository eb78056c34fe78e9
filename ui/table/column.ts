// What a table is told about its columns, and how wide they come out.
import type { ReactNode } from "react";

/** Editing in place: what stands in the field, what a typed text means, and where it goes. */
export interface CellEdit<R> {
  write: (row: R) => string;
  /** Null where the text means nothing that can be saved. */
  read: (text: string) => { value: unknown } | null;
  /** What can be written, said where a text is refused. */
  says: string;
  onSave: (row: R, text: string) => void;
}

export interface TableColumn<R> {
  id: string;
  head: string;
  /** Stands in the heading in place of its text, such as the periods of a chart. */
  headNode?: ReactNode;
  /** Explains the heading where somebody points at it. */
  says?: string;
  /** The least width in pixels; `grow` is its share of what is left over, 0 for none. */
  width: number;
  grow?: number;
  /** Figures stand on the right and are sorted from the largest on. */
  isFigure?: boolean;
  /** Names the row; there is one in each table. */
  isRowHead?: boolean;
  /** Stays in sight while the others scroll. */
  isSticky?: boolean;
  /** Holds a chart: the cell has no padding of its own. */
  isBare?: boolean;
  /** Gives way where there is no room. */
  yields?: boolean;
  /** What the row is sorted by and what is copied; a column without it is neither. Null stands last. */
  value?: (row: R) => string | number | null;
  /** What is copied where it is not what the row is sorted by. */
  copied?: (row: R) => string;
  cell: (row: R) => ReactNode;
  /** What is read out and shown on hover in place of the figure alone. */
  cellSays?: (row: R) => string | undefined;
  /** Shown on hover beside what the cell says by itself. */
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

/** The tracks of a grid for these columns. */
export function tracksOf(columns: readonly TableColumn<never>[], widths: Widths): string {
  return columns
    .map(({ id, width, grow = 0 }) => (widths[id] ? `${widths[id]}px` : grow > 0 ? `minmax(${width}px,${grow}fr)` : `${width}px`))
    .join(" ");
}

/** What the columns need at least, in pixels. */
export function leastWidth(columns: readonly TableColumn<never>[], widths: Widths): number {
  return columns.reduce((sum, { id, width }) => sum + (widths[id] ?? width), 0);
}

/** The columns there is room for: those that yield go first, the last one before the others. */
export function columnsThatFit<R>(columns: readonly TableColumn<R>[], widths: Widths, room: number): readonly TableColumn<R>[] {
  const shown = [...columns];
  for (let at = shown.length - 1; at >= 0 && leastWidth(shown, widths) > room; at--) if (shown[at].yields) shown.splice(at, 1);
  return shown;
}
