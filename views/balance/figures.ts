// The figure of a cell of the board, by the measure shown.
import type { Board } from "../../core/answers/board.ts";
import type { BoardRow } from "../../core/board/rows.ts";
import { type PeriodState, periodStates } from "../../core/load/periodSums.ts";
import { shareOf } from "../../core/values/units.ts";
import { hoursText, shareText } from "../../ui/format.ts";
import type { Measure } from "./balanceParams.ts";

export const measureWords: Record<Measure, string> = {
  room: "room in hours",
  load: "load in hours",
  share: "load as % of capacity",
  capacity: "capacity in hours",
  fte: "load in full-time equivalents",
  tasks: "number of tasks",
};

export interface CellFigures {
  capacity: number;
  load: number;
  peakOver: number;
  /** The unconfirmed part of the load. */
  tentative: number;
  tasks: number;
  /** Minutes of one full-time equivalent. */
  fullTime: number;
}

export function figuresAt(board: Board, row: number, period: number): CellFigures {
  const slot = row * board.periods.length + period;
  return {
    capacity: board.capacity[slot],
    load: board.load[slot],
    peakOver: board.peakOver[slot],
    tentative: board.tentative[slot],
    tasks: board.tasks[slot],
    fullTime: board.fullTime[period],
  };
}

/** Over, level or open; what has no capacity of its own is open. */
export function stateAt(board: Board, row: number, period: number): PeriodState {
  return isPart(board.rows[row]) ? "open" : periodStates[board.state[row * board.periods.length + period]];
}

/** The sums of a row over the window; tasks are not added up, for one lasts through several periods. */
export function rowSum(board: Board, row: number): CellFigures {
  const sum: CellFigures = { capacity: 0, load: 0, peakOver: 0, tentative: 0, tasks: 0, fullTime: 0 };
  const count = board.periods.length;
  for (let period = 0, slot = row * count; period < count; period++, slot++) {
    sum.capacity += board.capacity[slot];
    sum.load += board.load[slot];
    sum.peakOver += board.peakOver[slot];
    sum.tentative += board.tentative[slot];
    sum.tasks = Math.max(sum.tasks, board.tasks[slot]);
    sum.fullTime += board.fullTime[period];
  }
  return sum;
}

/** True of what has no capacity of its own: one person's part of a project, and a project. */
export const isPart = ({ kind, projectRow }: BoardRow): boolean => kind === "part" || projectRow !== undefined;

/** A part has no capacity of its own: of it only the load can be reported. */
const partMeasure = (measure: Measure): Measure => (measure === "fte" ? "fte" : "load");

/** True where a person is not there and has nothing to do: such a cell says nothing, wherever it is. */
export const isAway = (kind: BoardRow["kind"], capacity: number, load: number): boolean =>
  kind === "person" && capacity === 0 && load === 0;

/** The text of a cell of a row; of a group, room is shown as the used share. */
export function cellText(row: BoardRow, measure: Measure, figures: CellFigures): string {
  if (isAway(row.kind, figures.capacity, figures.load)) return "";
  if (isPart(row)) return figures.load > 0 ? figureText(partMeasure(measure), figures) : "";
  return figureText(row.kind === "group" && measure === "room" ? "share" : measure, figures);
}

/** The text of the total at the end of a row. */
export function sumText(row: BoardRow, measure: Measure, sum: CellFigures): string {
  return figureText(isPart(row) ? partMeasure(measure) : measure, sum);
}

export function figureText(measure: Measure, { capacity, load, tasks, fullTime }: CellFigures): string {
  switch (measure) {
    case "load":
      return hoursText(load);
    case "share":
      return capacity === 0 ? "–" : shareText(shareOf(load, capacity));
    case "capacity":
      return hoursText(capacity);
    case "fte":
      return fullTime === 0 ? "–" : (load / fullTime).toFixed(2);
    case "tasks":
      return String(tasks);
    default:
      return hoursText(capacity - load);
  }
}
