// The board as one page to print: its rows and figures as they are now on the screen, over ones hatched and with a minus.

import type { Board } from "../../core/answers/board.ts";
import { type Grain, isCut, type PeriodSettings, type Range } from "../../core/calendar/periods.ts";
import { periodHeading, rangeText } from "../../ui/format.ts";
import { PrintedPage } from "../../ui/printedPage.tsx";
import { TICK, vesselParts } from "../../ui/vessel.tsx";
import type { Measure } from "./balanceParams.ts";
import { cellText, figuresAt, isPart, measureWords, rowSum, stateAt, sumText } from "./figures.ts";

interface BoardPageProps {
  board: Board;
  measure: Measure;
  grain: Grain;
  studio: string;
  settings: PeriodSettings;
}

export function BoardPage({ board, measure, grain, studio, settings }: BoardPageProps) {
  const { periods, rows } = board;
  return (
    <PrintedPage
      title="Balance"
      side={`${studio}, ${rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop })}, ${measureWords[measure]}`}
      css={css}
    >
      <table>
        <thead>
          <tr>
            <th scope="col" />
            {periods.map((period) => (
              <th key={period.start} scope="col">
                {headingText(period, grain, settings)}
              </th>
            ))}
            <th scope="col">Total</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) => (
            <tr key={row.key} className={row.kind}>
              <th scope="row">{row.name}</th>
              {periods.map((period, p) => (
                <Cell key={period.start} board={board} at={at} p={p} measure={measure} />
              ))}
              <td>{sumText(row, measure, rowSum(board, at))}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </PrintedPage>
  );
}

/** A cell of a row `at` in period `p`. */
function Cell({ board, at, p, measure }: { board: Board; at: number; p: number; measure: Measure }) {
  const row = board.rows[at];
  const figures = figuresAt(board, at, p);
  const isGone = !isPart(row) && figures.capacity === 0 && figures.load === 0;
  return (
    <td className={isGone ? "away" : stateAt(board, at, p)}>
      {!isGone && cellText(row, measure, figures)}
      {!isGone && row.kind === "person" && <PrintedVessel {...figures} />}
    </td>
  );
}

/** The heading in one line; a period that the window cuts says which days are shown. */
function headingText(period: Range, grain: Grain, settings: PeriodSettings): string {
  const { main, side } = periodHeading(period, grain, settings);
  return isCut(period, grain, settings) ? `${main}, ${side}` : main;
}

/** The vessel of the screen, by styles that the page brings along. */
function PrintedVessel(figures: { capacity: number; load: number; tentative: number }) {
  const { firm, fill, over } = vesselParts(figures);
  return (
    <span className="vessel">
      <i className="firm" style={{ width: `${firm}%` }} />
      <i className="tentative" style={{ left: `${firm}%`, width: `${fill - firm}%` }} />
      <i className="past" style={{ left: `${figures.capacity === 0 ? 0 : TICK}%`, width: `${over}%` }} />
      <i className="tick" style={{ left: `${TICK}%` }} />
    </span>
  );
}

const css = `
.group{background:#f4f2ec}.group th{font-style:italic;font-size:13px}
.part th{padding-left:20px}
.level{color:#2c6b5e}
.vessel{position:relative;display:block;height:7px;border-bottom:1px solid #b9bdb6;margin-top:2px}
.vessel i{position:absolute;bottom:0;height:4px}
.firm{left:0;background:#9fbac5}.level .firm,.over .firm{background:#3d8573}
.tentative{background:repeating-linear-gradient(90deg,#b57a2c 0 2px,#fff 2px 3px)}
.past{background:repeating-linear-gradient(135deg,#9c3c16 0 2px,#fff 2px 3px)}
.vessel .tick{width:1.5px;height:8px;background:#1f2b2a;bottom:-1px}
.away{background:radial-gradient(circle,#86908c .6px,transparent .8px) 0 0/6px 6px}
`;
