"use client";
// The board: rows and columns virtualised, heads kept in sight, moved through by keyboard.
import { useVirtualizer } from "@tanstack/react-virtual";
import { type RefObject, useEffect, useEffectEvent, useLayoutEffect, useMemo, useRef } from "react";
import { createPortal } from "react-dom";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { isSame } from "../../core/values/same.ts";
import { periodPhrase } from "../../ui/format.ts";
import { SCREEN_WIDTH, sizeIn, useWidth } from "../../ui/useWidth.ts";
import { BarHandlesContext } from "./barHandles.ts";
import { BoardHead } from "./boardHead.tsx";
import { BoardRow } from "./boardRow.tsx";
import { barsHeight, HEAD_HEIGHT, LEAST_COLUMN, NAME_WIDTH, PERSON_HEIGHT, ROLE_HEIGHT, SUM_WIDTH } from "./columns.ts";
import { DragChip } from "./dragChip.tsx";
import { measureWords } from "./figures.ts";
import type { Preview, RowActs } from "./rowProps.ts";
import type { useBalance } from "./useBalance.ts";
import { useBarDrag } from "./useBarDrag.ts";
import { NO_BARS } from "./useBoardPreview.ts";
import { useGridKeys } from "./useGridKeys.ts";

export type BalanceProps = { balance: ReturnType<typeof useBalance> };

const FIRST_RECT = { width: 1000, height: 620 };

export function Board({ balance }: BalanceProps) {
  const { board } = balance;
  const frame = useRef<HTMLDivElement>(null);
  const { rows, columns, column } = useBoardWindow(balance, frame);
  const keys = useGridKeys(balance, (row, period) => {
    rows.scrollToIndex(row);
    columns.scrollToIndex(period);
  });
  const drag = useBarDrag(balance, frame, (distance) => daysAt(distance, column, board.periods));
  const { dragged } = drag;
  return (
    <BarHandlesContext value={drag.handlers}>
      <div ref={frame} className={`min-h-0 flex-1 overflow-auto box-open ${balance.previewed ? "board-previewed" : ""}`}>
        <BoardTable balance={balance} rows={rows} columns={columns} column={column} keys={keys} drag={drag} />
      </div>
      {dragged &&
        createPortal(
          <DragChip
            at={dragged}
            bar={dragged.data.bar}
            more={balance.picked.has(dragged.data.bar.assignmentId) ? balance.picked.size - 1 : 0}
            outcome={drag.outcome}
            along={drag.along}
            effect={drag.effect}
          />,
          document.body,
        )}
    </BarHandlesContext>
  );
}

type BoardWindow = ReturnType<typeof useBoardWindow>;

/** The visible rows and columns, and the width of a column. */
function useBoardWindow(
  { board, open, selected, previewed, formerBars }: BalanceProps["balance"],
  frame: RefObject<HTMLDivElement | null>,
) {
  const width = useWidth(frame, "screen", SCREEN_WIDTH);
  const count = board.periods.length;
  const column = Math.max(LEAST_COLUMN, Math.floor((width - NAME_WIDTH - SUM_WIDTH - 1) / count));
  const heightOf = (at: number) => {
    const row = board.rows[at];
    if (row.kind !== "person") return ROLE_HEIGHT;
    return PERSON_HEIGHT + (open.includes(row.id) ? barsHeight([...(board.bars[row.id] ?? []), ...formerBars(row.id)]) : 0);
  };
  const rows = useVirtualizer({
    count: board.rows.length,
    getScrollElement: () => frame.current,
    estimateSize: heightOf,
    getItemKey: (at) => board.rows[at].key,
    overscan: 6,
    initialRect: sizeIn("screen", FIRST_RECT),
    scrollPaddingStart: HEAD_HEIGHT,
    useFlushSync: false,
  });
  const columns = useVirtualizer({
    count,
    horizontal: true,
    getScrollElement: () => frame.current,
    estimateSize: () => column,
    overscan: 3,
    initialRect: sizeIn("screen", FIRST_RECT),
    scrollPaddingStart: NAME_WIDTH,
    // Both ways at once are drawn once: each by itself would have the page laid out in between.
    useFlushSync: false,
  });
  useMeasuredAgain(rows, [open, board.bars, board.rows]);
  useMeasuredAgain(columns, [column]);
  const showSelected = useEffectEvent(() => {
    const at = board.rows.findIndex(({ id }) => id === selected?.personId);
    if (at > 8) rows.scrollToIndex(at, { align: "center" });
  });
  // A link to a cell shows it once, when the screen opens: later selections are made where one already looks.
  useEffect(() => showSelected(), []);
  const showTakers = useEffectEvent((recipientIds: readonly string[]) => {
    const at = board.rows.findIndex(({ id, kind }) => kind === "person" && recipientIds.includes(id));
    if (at >= 0) rows.scrollToIndex(at);
  });
  // The person who receives work in a preview is scrolled into sight, once for each preview.
  useEffect(() => {
    if (previewed) showTakers(previewed.recipientIds);
  }, [previewed]);
  return { rows, columns, column };
}

/** Recalculates sizes when their input has changed; the first drawing has the right ones. */
function useMeasuredAgain(virtual: { measure: () => void }, hangsOn: readonly unknown[]): void {
  const measured = useRef(hangsOn);
  useLayoutEffect(() => {
    if (hangsOn.every((one, at) => one === measured.current[at])) return;
    measured.current = hangsOn;
    virtual.measure();
  });
}

interface BoardTableProps extends BalanceProps, BoardWindow {
  keys: ReturnType<typeof useGridKeys>;
  drag: ReturnType<typeof useBarDrag>;
}

function BoardTable({ balance, rows, columns, column, keys, drag }: BoardTableProps) {
  const { board, grain, measure } = balance;
  const count = board.periods.length;
  const shown = columns.getVirtualItems();
  const previews = useMemo(() => drag.loads && loadsById(drag.loads), [drag.loads]);
  const phrases = usePhrases(board.periods);
  const acts = useRowActs(balance);
  return (
    <table
      // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a table whose cells are walked by keys is a grid
      role="grid"
      tabIndex={-1}
      aria-label={`People by ${grain}, ${measureWords[measure]}`}
      aria-rowcount={board.rows.length + 1}
      aria-colcount={count + 2}
      onKeyDown={keys.press}
      className="relative block text-left"
      style={{ width: NAME_WIDTH + column * count + SUM_WIDTH, height: HEAD_HEIGHT + rows.getTotalSize() }}
    >
      <BoardHead balance={balance} column={column} shown={shown.map(({ index }) => index)} />
      <tbody className="contents">
        {rows.getVirtualItems().map((item) => (
          <BoardRow
            key={item.key}
            at={item.index}
            top={HEAD_HEIGHT + item.start}
            height={item.size}
            column={column}
            firstColumn={shown[0]?.index ?? 0}
            columnCount={shown.length}
            phrases={phrases}
            active={keys.active?.row === item.index ? keys.active.period : null}
            isDropTarget={drag.targetId === board.rows[item.index].personId && drag.targetId !== null}
            preview={previews?.get(board.rows[item.index].id) ?? null}
            {...ofRow(balance, board.rows[item.index].id)}
            acts={acts}
          />
        ))}
      </tbody>
    </table>
  );
}

/** The part of the board that belongs to one row. */
function ofRow({ board, measure, open, selected, differs, formerBars, picked }: BalanceProps["balance"], id: string) {
  const isOpen = open.includes(id);
  return {
    board,
    measure,
    isOpen,
    selected: selected?.personId === id ? selected : null,
    differs,
    former: isOpen ? formerBars(id) : NO_BARS,
    picked: isOpen ? picked : null,
  };
}

/** The same functions for as long as the board is, no matter what they do by then. */
function useRowActs(balance: BalanceProps["balance"]): RowActs {
  const latest = useRef(balance);
  latest.current = balance;
  return useMemo(
    () => ({
      toggle: (personId) => latest.current.toggle(personId),
      select: (cell) => latest.current.select(cell),
      pick: (assignmentId) => latest.current.pick(assignmentId),
      reassign: (assignmentId) => latest.current.setMoving(assignmentId),
      shift: (assignmentId, startDays, stopDays) => void latest.current.shift(assignmentId, startDays, stopDays),
      remedyIn: (cell) => latest.current.remedyIn(cell),
    }),
    [],
  );
}

/** The periods in words; the same texts for as long as the periods are the same. */
function usePhrases(periods: readonly Range[]): string[] {
  const known = useRef<{ periods: readonly Range[]; phrases: string[] } | null>(null);
  if (!known.current || !isSame(known.current.periods, periods)) known.current = { periods, phrases: periods.map(periodPhrase) };
  return known.current.phrases;
}

/** A distance on the board in days, by the mean length of its periods. */
function daysAt(distance: number, column: number, periods: readonly Range[]): number {
  const days = (periods[periods.length - 1].stop - periods[0].start) / periods.length;
  return Math.round((distance / column) * days);
}

/** By person id the load and the state of each period. */
function loadsById({ people, periods, load, state }: PeopleLoads): Map<string, Preview> {
  const count = periods.length;
  return new Map(
    people.map(({ id }, at) => [
      id,
      { load: load.subarray(at * count, (at + 1) * count), state: state.subarray(at * count, (at + 1) * count) },
    ]),
  );
}
