// The board as a table of texts, for files: the rows, order and measure of the screen, numbers without separators.

import { formatDay } from "../../core/calendar/day.ts";
import type { Board } from "../../core/load/board.ts";
import type { Measure } from "./balanceParams.ts";
import { type CellFigures, figuresAt, figureText, measureWords, rowSum } from "./figures.ts";

/** A header row, then a row for each of the board's. */
export function boardTable(board: Board, measure: Measure): string[][] {
  const head = ["Row", "Kind", "Role or code", ...board.periods.map(({ start }) => formatDay(start)), `Sum (${measureWords[measure]})`];
  return [
    head,
    ...board.rows.map((row, at) => {
      const isPart = row.kind === "part" || row.projectRow !== undefined;
      const own = isPart && measure !== "fte" ? "load" : measure;
      const text = (figures: CellFigures) => plainNumber(figureText(own, figures));
      return [
        row.name,
        row.kind,
        row.roleName,
        ...board.periods.map((_, period) => text(figuresAt(board, at, period))),
        text(rowSum(board, at)),
      ];
    }),
  ];
}

/** A figure as a spreadsheet reads it; what is no figure stays empty. */
function plainNumber(text: string): string {
  const plain = text.replaceAll(",", "").replace("−", "-").replace("%", "");
  return Number.isFinite(Number(plain)) ? plain : "";
}
