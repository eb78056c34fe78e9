// The board as a table of texts, for files: the rows, order and measure of the screen, numbers without separators.

import type { Board } from "../../core/answers/board.ts";
import { formatDay } from "../../core/calendar/day.ts";
import type { Measure } from "./balanceParams.ts";
import { cellText, figuresAt, measureWords, rowSum, sumText } from "./figures.ts";

/** A header row, then a row for each of the board's. */
export function boardTable(board: Board, measure: Measure): string[][] {
  // A million cells say a few thousand different things.
  const known = new Map<string, string>();
  const plainly = (text: string): string => {
    const plain = known.get(text) ?? plainNumber(text, measure);
    known.set(text, plain);
    return plain;
  };
  const head = ["Row", "Kind", "Role or code", ...board.periods.map(({ start }) => formatDay(start)), `Sum (${measureWords[measure]})`];
  return [
    head,
    ...board.rows.map((row, at) => [
      row.name,
      row.kind,
      row.roleName,
      ...board.periods.map((_, period) => plainly(cellText(row, measure, figuresAt(board, at, period)))),
      plainly(sumText(row, measure, rowSum(board, at))),
    ]),
  ];
}

/** A figure as a spreadsheet reads it; what is no figure stays empty. A share keeps its sign where all else is hours. */
function plainNumber(text: string, measure: Measure): string {
  const plain = text.replaceAll(",", "").replace("−", "-").replace("%", "");
  if (plain === "" || !Number.isFinite(Number(plain))) return "";
  return text.endsWith("%") && measure !== "share" ? `${plain}%` : plain;
}
