"use client";
// The parts of every row of the board: its cells, and the total at its end.
import { memo } from "react";
import type { Board } from "../../core/answers/board.ts";
import { periodState } from "../../core/load/periodSums.ts";
import { hoursText } from "../../ui/format.ts";
import type { Measure } from "./balanceParams.ts";
import { PERSON_HEIGHT, SUM_WIDTH } from "./columns.ts";
import { isPart, rowSum, sumText } from "./figures.ts";
import type { RowProps } from "./rowProps.ts";

export function cellId(row: number, period: number): string {
  return `cell-${row}-${period}`;
}

/** The row that Tab leads to first: the first person where a heading is above them. */
export function firstStop({ rows }: Board): number {
  return rows[0]?.kind === "group" && rows[1]?.kind === "person" ? 1 : 0;
}

export function columnsShown({ firstColumn, columnCount }: RowProps): number[] {
  return Array.from({ length: columnCount }, (_, at) => firstColumn + at);
}

/** Memoised: it adds up the whole row, and stays the same while columns pass by. */
export const RowSum = memo(function RowSum({ board, at, measure }: { board: Board; at: number; measure: Measure }) {
  const row = board.rows[at];
  const sum = rowSum(board, at);
  const isOver = !isPart(row) && periodState(sum.capacity, sum.load, board.band) === "over";
  return (
    <td
      aria-label={`${row.name}, total: ${hoursText(sum.load)}${isPart(row) ? "" : ` of ${hoursText(sum.capacity)}`} hours`}
      title={`Total: ${hoursText(sum.load)}${isPart(row) ? "" : ` of ${hoursText(sum.capacity)}`} hours`}
      className={`board-sum ${row.kind === "group" ? "bg-paper" : "bg-sheet"} ${isOver ? "figure-bad" : "text-ink-2"}`}
      style={{ width: SUM_WIDTH, paddingTop: row.kind === "person" ? 6 : 5 }}
    >
      {at < board.filled ? sumText(row, measure, sum) : ""}
    </td>
  );
});

interface CellProps {
  id: string;
  left: number;
  width: number;
  label: string;
  isTabStop?: boolean;
  isPressable?: boolean;
  isSelected?: boolean;
  onSelect?: () => void;
  children: React.ReactNode;
}

export function Cell({
  id,
  left,
  width,
  label,
  isTabStop = false,
  isPressable = false,
  isSelected = false,
  onSelect,
  children,
}: CellProps) {
  return (
    <td
      id={id}
      // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a cell of a grid can be selected
      role="gridcell"
      tabIndex={isTabStop ? 0 : -1}
      aria-label={label}
      aria-selected={isSelected}
      title={label}
      onClick={onSelect}
      onKeyDown={(event) => {
        if (event.key === "Enter") onSelect?.();
      }}
      className={`absolute top-0 line-right [contain:strict] ${isPressable ? "cursor-pointer hover:bg-well/60" : ""} focus-visible:z-[1] focus-visible:outline-offset-[-2px]`}
      style={{ left, width, height: isPressable ? PERSON_HEIGHT - 1 : "100%" }}
    >
      {children}
    </td>
  );
}
