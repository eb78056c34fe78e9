"use client";
// Balance: people by period, capacity against load; who is over and who has room.
import type { AnswerOf } from "../../client/questions.ts";
import type { Initial } from "../../client/session.tsx";
import { countText, hoursText, shareText } from "../../ui/format.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { filterKeys } from "./balanceParams.ts";
import { Board } from "./board.tsx";
import { BoardTools } from "./boardTools.tsx";
import { CellSheet } from "./cellSheet.tsx";
import { useBalance } from "./useBalance.ts";

const noFilters = Object.fromEntries(filterKeys.map((key) => [key, ""]));

export function Balance({ initial }: { initial: Initial<AnswerOf<"board">> }) {
  const balance = useBalance(initial);
  const { board, selected, explained } = balance;
  const { totals, overMinutes, overPeople } = board;
  return (
    <Screen
      title="Balance"
      figures={
        <>
          <Figure value={shareText(totals.assignedPercent)} says="of work assigned" />
          <Figure value={shareText(totals.utilizationPercent)} says="of capacity used" />
          <Figure
            value={`${hoursText(overMinutes)} h`}
            says={`over · ${countText(overPeople, "person", "people")}`}
            isOver={overMinutes > 0}
          />
        </>
      }
      actions={<BoardTools balance={balance} />}
      sheet={selected && explained && <CellSheet explained={explained} balance={balance} />}
    >
      {board.rows.length === 0 && balance.isFiltered ? (
        <Empty title="Nobody is left by these filters">
          <button type="button" className="text-pine underline" onClick={() => balance.setParams(noFilters)}>
            Show everybody
          </button>
        </Empty>
      ) : board.rows.length === 0 ? (
        <Empty title="Nobody is on the roster yet">
          People by week stand here, with their capacity and load. Add them under People, or open a plan file from the menu at the top
          right.
        </Empty>
      ) : (
        <Board balance={balance} />
      )}
    </Screen>
  );
}
