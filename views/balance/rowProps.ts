// The input of a row of the board, and whether two of these draw the same: after an edit the board is a new object, and most of
// its rows are unchanged.
import type { Board } from "../../core/answers/board.ts";
import type { Bar } from "../../core/load/bars.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { isSame } from "../../core/values/same.ts";
import type { Measure } from "./balanceParams.ts";
import type { SelectedCell } from "./useBalance.ts";

/** A person's load in each period, and its state as an index in `periodStates`. */
export interface Preview {
  load: Int32Array;
  state: Uint8Array;
}

/** The actions of a row. These stay the same functions. */
export interface RowActs {
  toggle: (personId: string) => void;
  select: (cell: SelectedCell | null) => void;
  pick: (assignmentId: string) => void;
  reassign: (assignmentId: string) => void;
  shift: (assignmentId: string, startDays: number, stopDays: number) => void;
  remedyIn: (cell: SelectedCell) => void;
}

export interface RowProps {
  at: number;
  top: number;
  height: number;
  column: number;
  firstColumn: number;
  columnCount: number;
  /** Each period in words. */
  phrases: string[];
  /** Period whose cell has the keyboard's focus. */
  active: number | null;
  isDropTarget: boolean;
  /** The plan after a drop of the dragged bars. */
  preview: Preview | null;
  board: Board;
  measure: Measure;
  isOpen: boolean;
  /** The cell that is selected, where it is one of this row. */
  selected: SelectedCell | null;
  /** Says of a cell whether a preview or the open sketch changes it; null while there is neither. */
  differs: ((row: number, period: number) => boolean) | null;
  /** Bars where they are now, while a preview has them elsewhere. */
  former: Bar[];
  /** Picked bars, of an open row. */
  picked: ReadonlySet<string> | null;
  acts: RowActs;
}

/** True where two boards draw a row alike. */
export function isSameRow(a: RowProps, b: RowProps): boolean {
  for (const key of objectKeys(a)) if (key !== "board" && a[key] !== b[key]) return false;
  return a.board === b.board || hasSameFigures(a.board, b.board, a.at, a.isOpen);
}

const columns = ["capacity", "load", "peakOver", "tentative", "tasks", "state", "open", "toTeam", "overCount", "accepted"] as const;

function hasSameFigures(a: Board, b: Board, at: number, isOpen: boolean): boolean {
  const count = a.periods.length;
  if (count !== b.periods.length || a.periods[0].start !== b.periods[0].start || a.periods[count - 1].stop !== b.periods[count - 1].stop)
    return false;
  if (at < a.filled !== at < b.filled || !isSame(a.band, b.band) || !isSame(a.fullTime, b.fullTime)) return false;
  // The first rows say where Tab leads to.
  if (!isSame(a.rows[at], b.rows[at]) || a.rows[0].kind !== b.rows[0].kind || a.rows[1]?.kind !== b.rows[1]?.kind) return false;
  if (isOpen && !isSame(a.bars[a.rows[at].id], b.bars[b.rows[at].id])) return false;
  for (const name of columns) {
    const [former, now] = [a[name], b[name]];
    for (let slot = at * count; slot < (at + 1) * count; slot++) if (former[slot] !== now[slot]) return false;
  }
  return true;
}
