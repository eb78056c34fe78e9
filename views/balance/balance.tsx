"use client";
// Balance: people by period, capacity against load; who is over and who has room.
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { TextButton } from "../../ui/button.tsx";
import { countText, hoursText, shareText } from "../../ui/format.ts";
import { useEvenOut } from "../evenOut/useEvenOut.ts";
import { later, Part, SheetPart } from "../frame/part.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { WithSignals } from "../today/signalSign.tsx";
import { filterKeys, type ViewParams } from "./balanceParams.ts";
import { Board } from "./board.tsx";
import { BoardTools } from "./boardTools.tsx";
import { useBalance } from "./useBalance.ts";
import { texts } from "./words.ts";

const evenOut = later(() => import("../evenOut/evenOut.tsx").then((own) => own.EvenOut));
const evenOutSheet = later(() => import("../evenOut/evenOutSheet.tsx").then((own) => own.EvenOutSheet));
const dropSheet = later(() => import("../effect/dropSheet.tsx").then((own) => own.DropSheet));
const selectedSheet = later(() => import("./cellSheet.tsx").then((own) => own.SelectedSheet));

/** Openings have no person: filters of people leave out none of them, and the figure says so. */
function assignedWords(params: ViewParams): string {
  if (params.project || params.category || params.client || params.stage) return "of these projects’ work assigned";
  return params.role || params.skill || params.team || params.location ? "of all work assigned" : "of work assigned";
}

interface OfBalance {
  balance: ReturnType<typeof useBalance>;
}

/** A week’s overload is its load beyond its capacity: a full day can be balanced by a free one of the same week. */
function Figures({ balance: { board, params, isFiltered, grain } }: OfBalance) {
  const { assignedPercent, usedPercent, overMinutes, overPeople } = board;
  return (
    <>
      <Figure value={shareText(assignedPercent)} says={assignedWords(params)} />
      <Figure value={shareText(usedPercent)} says={isFiltered ? texts.ofTheirCapacityUsed : texts.ofCapacityUsed} />
      <Figure
        value={`${hoursText(overMinutes)} h`}
        says={`over by ${grain} · ${countText(overPeople, "person", "people")}`}
        isOver={overMinutes > 0}
      />
    </>
  );
}

/** The sheet of a drag's question, or of the selection on the board. */
function BoardSheet({ balance }: OfBalance) {
  const { asked, selected, answer } = balance;
  if (!asked) return selected && <SheetPart of={selectedSheet} given={{ selected, balance }} />;
  return (
    <SheetPart
      key={`${asked.taskId} ${asked.start}`}
      of={dropSheet}
      given={{ drop: asked, taskName: asked.taskName, onTake: ({ edit }) => void answer(edit), onClose: () => void answer(null) }}
    />
  );
}

const noFilters = Object.fromEntries(filterKeys.map((key) => [key, ""]));

export function Balance({ initial }: { initial: Initial<AnswerOf<"board">> }) {
  const balance = useBalance(initial);
  const even = useEvenOut();
  const { board } = balance;
  return (
    <Screen
      isTwoLined
      title={texts.balance}
      figures={<Figures balance={balance} />}
      actions={<BoardTools balance={balance} onEvenOut={() => even.setScope("all")} />}
      sheet={even.isOpen ? <SheetPart of={evenOutSheet} given={{ even }} /> : <BoardSheet balance={balance} />}
    >
      {even.isOpen && even.news && !even.isRunning ? (
        <Part of={evenOut} given={{ even }} />
      ) : board.rows.length === 0 && balance.isFiltered ? (
        <Empty title={texts.noPeopleMatchTheseFilters}>
          <TextButton onClick={() => balance.setParams(noFilters)}>{texts.showAllPeople}</TextButton>
        </Empty>
      ) : board.rows.length === 0 ? (
        <Empty title={texts.noPeopleYet}>{texts.theBoardShowsEachPersons}</Empty>
      ) : (
        <WithSignals>
          <Board balance={balance} />
        </WithSignals>
      )}
    </Screen>
  );
}
