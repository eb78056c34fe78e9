// The overloads of a board as a page to print: person, period, hours over capacity, and which are accepted.
import type { Board } from "../../core/answers/board.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { hoursText, periodPhrase, rangeText } from "../../ui/format.ts";
import { PrintedPage } from "../../ui/printedPage.tsx";
import { figuresAt, isPart, stateAt } from "./figures.ts";

interface OverloadPageProps {
  board: Board;
  grain: Grain;
  studio: string;
}

export interface OverloadLine {
  key: string;
  name: string;
  roleName: string;
  period: Board["periods"][number];
  capacity: number;
  load: number;
  isAccepted: boolean;
}

/** A line for each person and period over capacity, in the order of the board. A person in two groups is listed once. */
export function overloadLines(board: Board): OverloadLine[] {
  const seen = new Set<string>();
  return board.rows.flatMap((row, at) => {
    if (row.kind !== "person" || isPart(row) || seen.has(row.id)) return [];
    seen.add(row.id);
    return board.periods.flatMap((period, p): OverloadLine[] => {
      if (stateAt(board, at, p) !== "over") return [];
      const { capacity, load } = figuresAt(board, at, p);
      const isAccepted = board.accepted[at * board.periods.length + p] === 1;
      return [{ key: `${row.id} ${period.start}`, name: row.name, roleName: row.roleName, period, capacity, load, isAccepted }];
    });
  });
}

export function OverloadPage({ board, grain, studio }: OverloadPageProps) {
  const { periods } = board;
  const lines = overloadLines(board);
  const total = lines.reduce((sum, { load, capacity }) => sum + load - capacity, 0);
  return (
    <PrintedPage
      title="Overloads"
      side={`${studio}, ${rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop })}, by ${grain}`}
      css={css}
    >
      {lines.length === 0 ? (
        <p>Nobody is over capacity.</p>
      ) : (
        <table>
          <thead>
            <tr>
              {["Person", "Role", "Period", "Capacity, h", "Load, h", "Over, h", "Accepted"].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map(({ key, name, roleName, period, capacity, load, isAccepted }) => (
              <tr key={key}>
                <th scope="row">{name}</th>
                <td>{roleName}</td>
                <td>{periodPhrase(period)}</td>
                <td>{hoursText(capacity)}</td>
                <td>{hoursText(load)}</td>
                <td className={isAccepted ? "" : "over"}>{hoursText(load - capacity)}</td>
                <td>{isAccepted ? "accepted" : ""}</td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">Total</th>
              <td colSpan={4} />
              <td>{hoursText(total)}</td>
              <td />
            </tr>
          </tfoot>
        </table>
      )}
    </PrintedPage>
  );
}

const css = "td:nth-child(2),td:nth-child(3),th:nth-child(2),th:nth-child(3){text-align:left}tfoot th,tfoot td{font-weight:700}";
