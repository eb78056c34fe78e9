// A block of texts from a spreadsheet, as hours for the cells it falls on; what does not fit is reported cell by cell.
import type { HoursRow } from "../../core/answers/hoursGrid.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { TypedCell } from "../../core/typing/typeHours.ts";
import { readAmount } from "../../ui/amount.ts";
import { periodPhrase } from "../../ui/format.ts";
import { barFaults } from "../effect/barFaults.ts";

export const MOST_HOURS = 10_000;

/** Hours as they are typed: with a point or a comma, with or without the unit; nothing and a dash are no hours. */
export function readHours(text: string): { value: number } | null {
  const plain = text.trim().replace(/\s*h$/i, "");
  return plain === "" || /^[-–—]$/.test(plain) ? { value: 0 } : readAmount(plain, 0, MOST_HOURS);
}

/** A cell that could not be typed in, and why. */
export interface NotPasted {
  where: string;
  why: string;
}

/** @param rows From the one on which the block begins.
 * @param periods From the one at which it begins. */
export function pastedCells(
  rows: readonly HoursRow[],
  periods: readonly Range[],
  block: readonly (readonly string[])[],
): { cells: TypedCell[]; refused: NotPasted[] } {
  const cells: TypedCell[] = [];
  const refused: NotPasted[] = [];
  let outside = 0;
  block.forEach((texts, r) => {
    const row = rows.at(r);
    texts.forEach((text, p) => {
      const period = periods.at(p);
      if (!row || !period) {
        if (text.trim() !== "") outside++;
        return;
      }
      const where = `${row.taskName}, ${row.who}, ${periodPhrase(period)}`;
      const hours = readHours(text);
      if (!hours) refused.push({ where, why: `“${text.trim().slice(0, 40)}” is not a number of hours.` });
      else if (row.fault) refused.push({ where, why: barFaults[row.fault] });
      // A value that is already there to the minute is left as it is, typed or not.
      else if (Math.round(hours.value * 60) !== row.minutes[periodAt(row, periods, p)])
        cells.push({ assignmentId: row.assignmentId, ...period, hours: hours.value });
    });
  });
  if (outside > 0)
    refused.push({
      where: outside === 1 ? "One cell" : `${outside} cells`,
      why: "Outside the rows and columns shown. Widen the window or add rows, then paste again.",
    });
  return { cells, refused };
}

/** Periods are given from where the block begins; a row has those of the whole window. */
const periodAt = (row: HoursRow, periods: readonly Range[], at: number): number => row.minutes.length - periods.length + at;
