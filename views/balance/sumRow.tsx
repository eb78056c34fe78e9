"use client";
// A row of the board that adds up others: a role, a team, a place or a project, or one person's part of a project.
import type { Board } from "../../core/answers/board.ts";
import { countText, hoursText, hueOf, wholeText } from "../../ui/format.ts";
import type { Measure } from "./balanceParams.ts";
import { Cell, cellId, columnsShown, firstStop, RowSum } from "./cells.tsx";
import { NAME_WIDTH, NARROW_COLUMN } from "./columns.ts";
import { cellText, figuresAt, isPart, stateAt } from "./figures.ts";
import type { RowProps } from "./rowProps.ts";

/** A heading with the sums of what is under it, or one person's part of a project. */
export function SumRow(props: RowProps) {
  const { at, top, height, column, phrases, board, measure, differs } = props;
  const row = board.rows[at];
  const isGroup = row.kind === "group";
  const hasFigures = at < board.filled;
  return (
    <tr aria-rowindex={at + 2} data-row={row.key} className={`board-row ${isGroup ? "bg-well/50" : ""}`} style={{ top, height }}>
      <th
        scope="row"
        className={`board-group ${isGroup ? "bg-paper px-3 heading-soft" : "bg-sheet pr-3 pl-7 text-[13px]"}`}
        style={{ width: NAME_WIDTH }}
      >
        {row.projectRow !== undefined && (
          <span className="size-[9px] shrink-0 rounded-[2px]" style={{ background: hueOf(row.projectRow) }} />
        )}
        <span className="truncate">{row.name}</span>
      </th>
      {columnsShown(props).map((period) => (
        <Cell
          key={period}
          id={cellId(at, period)}
          left={NAME_WIDTH + period * column}
          width={column}
          label={`${row.name}, ${phrases[period]}: ${sumWords(board, at, period)}`}
          isTabStop={props.active === period || (props.active === null && at === firstStop(board) && period === props.firstColumn)}
        >
          {hasFigures && <SumCell board={board} at={at} period={period} measure={measure} isNarrow={column < NARROW_COLUMN} />}
          {differs?.(at, period) && <span className="pointer-events-none absolute inset-0 border border-plum" />}
        </Cell>
      ))}
      <RowSum board={board} at={at} measure={measure} />
    </tr>
  );
}

interface SumCellProps {
  board: Board;
  at: number;
  period: number;
  measure: Measure;
  /** Whole hours then have to do. */
  isNarrow: boolean;
}

function SumCell({ board, at, period, measure, isNarrow }: SumCellProps) {
  const row = board.rows[at];
  const figures = figuresAt(board, at, period);
  const slot = at * board.periods.length + period;
  const [over, open] = [board.overCount[slot], board.open[slot]];
  const isOver = stateAt(board, at, period) === "over";
  const shown = cellText(row, measure, figures);
  return (
    <span
      className={`flex h-full items-center justify-between gap-0.5 ${isNarrow ? "px-1" : "px-2"} text-small ${isOver ? "figure-bad" : "text-ink-2"}`}
    >
      <span className="truncate text-[11.5px]">
        {over > 0 ? (
          <span className="flex items-center gap-1 text-over">
            <span aria-hidden className="sign-over size-[8px]" />
            {over}
          </span>
        ) : open > 0 ? (
          `+${isNarrow ? wholeText(Math.round(open / 60)) : hoursText(open)}`
        ) : (
          ""
        )}
      </span>
      <span>{shown}</span>
    </span>
  );
}

function sumWords(board: Board, at: number, period: number): string {
  const { capacity, load } = figuresAt(board, at, period);
  const slot = at * board.periods.length + period;
  const open = board.open[slot] > 0 ? `; ${hoursText(board.open[slot])} more hours are unassigned` : "";
  const toTeam = board.toTeam[slot] > 0 ? `; ${hoursText(board.toTeam[slot])} of them assigned to the team as a whole` : "";
  const over = board.overCount[slot] > 0 ? `; ${countText(board.overCount[slot], "person is", "people are")} over` : "";
  return isPart(board.rows[at])
    ? `${hoursText(load)} hours${open}`
    : `${hoursText(load)} of ${hoursText(capacity)} hours${toTeam}${over}${open}`;
}
