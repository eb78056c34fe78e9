"use client";
// The head of the board: what its rows are, each period with how full everyone is in it, and the window as a whole.
import type { Board } from "../../core/answers/board.ts";
import type { BoardRowKind } from "../../core/board/view.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { shareOf } from "../../core/values/units.ts";
import { hoursText, periodHeading, shareText } from "../../ui/format.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { HEAD_HEIGHT, NAME_WIDTH, NARROW_COLUMN, SUM_WIDTH } from "./columns.ts";
import { measureWords } from "./figures.ts";
import type { useBalance } from "./useBalance.ts";
import { texts } from "./words.ts";

interface BoardHeadProps {
  balance: ReturnType<typeof useBalance>;
  /** Width of a column. */
  column: number;
  /** Columns in sight. */
  shown: readonly number[];
}

export function BoardHead({ balance: { board, grain, measure, params }, column, shown }: BoardHeadProps) {
  return (
    <thead className="contents">
      <tr className="board-head" style={{ height: HEAD_HEIGHT }}>
        <th scope="col" className="board-corner" style={{ width: NAME_WIDTH }}>
          <div className="font-semibold leading-tight">{headWords[params.rows]}</div>
          <div className="text-side leading-tight">{measureWords[measure]}</div>
        </th>
        {shown.map((index) => (
          <PeriodHead key={index} board={board} grain={grain} index={index} column={column} />
        ))}
        <th scope="col" className="board-corner-sum" style={{ width: SUM_WIDTH }}>
          <div className="font-semibold leading-tight">{texts.total}</div>
          <div className="text-side leading-tight">{shareText(shareOf(sumOf(board.all.load), sumOf(board.all.capacity)))}</div>
        </th>
      </tr>
    </thead>
  );
}

function PeriodHead({ board, grain, index, column }: { board: Board; grain: Grain; index: number; column: number }) {
  const { periodSettings } = usePlanFacts();
  const { main, side } = periodHeading(board.periods[index], grain, periodSettings);
  return (
    <th scope="col" className="board-period" style={{ left: NAME_WIDTH + index * column, width: column }}>
      <div className="truncate font-semibold leading-tight">{main}</div>
      <div
        className={`flex justify-between text-ink-2 leading-tight ${column < NARROW_COLUMN ? "text-[11.5px] tracking-tight" : "text-small"}`}
      >
        <span>{side}</span>
        <span title={`Load of the people shown: ${hoursText(board.all.load[index])} of ${hoursText(board.all.capacity[index])} hours`}>
          {shareText(shareOf(board.all.load[index], board.all.capacity[index]))}
        </span>
      </div>
    </th>
  );
}

const headWords: Record<BoardRowKind, string> = {
  role: "Person",
  team: "Person",
  location: "Person",
  none: "Person",
  roles: "Role",
  teams: "Team",
  projects: "Project",
  peopleProjects: "Person",
};

const sumOf = (minutes: Int32Array): number => minutes.reduce((sum, own) => sum + own, 0);
