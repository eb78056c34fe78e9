// The board as a table of texts, for files: the rows, order and measure of the screen, numbers without separators.

import type { Board } from "../../core/answers/board.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { hoursText } from "../../ui/format.ts";
import type { Measure } from "./balanceParams.ts";
import { cellText, figuresAt, isAway, measureWords, rowSum, sumText } from "./figures.ts";

/** A header row, then a row for each of the board's. */
export function boardTable(board: Board, measure: Measure): string[][] {
  const head = ["Row", "Kind", "Role or code", ...board.periods.map(({ start }) => formatDay(start)), `Total (${measureWords[measure]})`];
  const cells = new CellTexts(board, measure);
  return [
    head,
    ...board.rows.map((row, at) => [
      row.name,
      row.kind,
      row.roleName,
      ...cells.ofRow(at),
      plainNumber(sumText(row, measure, rowSum(board, at)), measure),
    ]),
  ];
}

/** The texts of cells. A million cells have a few thousand different texts: of people, whose figures are hours, each is made
 * once. */
class CellTexts {
  readonly #hours = new Map<number, string>();

  constructor(
    private readonly board: Board,
    private readonly measure: Measure,
  ) {}

  ofRow(at: number): string[] {
    const { board, measure } = this;
    const { rows, periods, capacity, load } = board;
    const count = periods.length;
    const texts = new Array<string>(count);
    const { kind } = rows[at];
    const isHours = kind === "person" && (measure === "room" || measure === "load" || measure === "capacity");
    for (let period = 0, slot = at * count; period < count; period++, slot++) {
      if (!isHours) texts[period] = plainNumber(cellText(rows[at], measure, figuresAt(board, at, period)), measure);
      else if (isAway(kind, capacity[slot], load[slot])) texts[period] = "";
      else texts[period] = this.#hoursOf(measure === "room" ? capacity[slot] - load[slot] : (measure === "load" ? load : capacity)[slot]);
    }
    return texts;
  }

  #hoursOf(minutes: number): string {
    let text = this.#hours.get(minutes);
    if (text === undefined) {
      text = plainNumber(hoursText(minutes), this.measure);
      this.#hours.set(minutes, text);
    }
    return text;
  }
}

/** A figure as a spreadsheet reads it; what is no figure stays empty. A share keeps its sign where all else is hours. */
function plainNumber(text: string, measure: Measure): string {
  const plain = text.replaceAll(",", "").replace("−", "-").replace("%", "");
  if (plain === "" || !Number.isFinite(Number(plain))) return "";
  return text.endsWith("%") && measure !== "share" ? `${plain}%` : plain;
}
