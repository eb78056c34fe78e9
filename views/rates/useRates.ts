"use client";
// A rate table bound to the plan: the grid, what is typed, pasted, cleared and filled in it, rows and days that are added.
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { usePlan } from "../../client/session.tsx";
import { formatDay } from "../../core/calendar/day.ts";
import { rateSubject } from "../../core/plan/rateSubject.ts";
import type { RateTable } from "../../core/plan/schema.ts";
import { type RateCell, type RateFigure, type SubjectIds, typedRates } from "../../core/typing/typeRates.ts";
import { countText } from "../../ui/format.ts";
import type { Block, BlockActions } from "../../ui/table/blocks.ts";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { ALL_WORK, type Typed } from "./moneyChanges.tsx";
import { columnOfDate, RATE_HINT, readRate } from "./rateColumns.tsx";
import { type RateRow, rateGrid } from "./rateGrid.ts";

export type RatesHook = ReturnType<typeof useRates>;

export function useRates(table: RateTable) {
  const session = usePlan();
  const names = useNames();
  const { today } = usePlanFacts();
  const [figure, setFigure] = useState<RateFigure>("rate");
  const [subjects, setSubjects] = useState<readonly SubjectIds[]>([]);
  const [dates, setDates] = useState<readonly string[]>([]);
  const [typed, setTyped] = useState<Typed | null>(null);
  const grid = useMemo(() => rateGrid(table.entries, names, { subjects, dates }), [table, names, subjects, dates]);
  return useMemo(() => {
    const type = (cells: readonly RateCell[]) => {
      const edit = typedRates(table.id, cells);
      if (cells.some((cell) => standsAlone(table.id, cell))) toast("Overtime and a charge per use need a rate. Type the rate first.");
      if (!edit) return;
      setTyped({ before: session.ask("margins", ALL_WORK) });
      // The question goes to the worker first: its answer is what the effect is measured against.
      void Promise.resolve().then(() => session.edit(edit));
    };
    return {
      table,
      grid,
      figure,
      setFigure,
      today: formatDay(today),
      blocks: blockActions(grid.dates, figure, type),
      type,
      /** The rates that were typed last. */
      typed,
      addSubject: (of: SubjectIds) => setSubjects((known) => [...known.filter((own) => rateSubject(own) !== rateSubject(of)), of]),
      addDate: (date: string) => setDates((known) => [...known, date]),
      session,
    };
  }, [session, table, grid, figure, today, typed]);
}

/** True for a figure, such as overtime, that needs a rate where there is none. */
const standsAlone = (tableId: string, cell: RateCell): boolean =>
  cell.figure !== "rate" && cell.amount !== null && !cell.row.entries.has(cell.date) && !typedRates(tableId, [cell]);

/** The actions of paste, clear and fill on the cells of some days. */
function blockActions(dates: readonly string[], figure: RateFigure, type: (cells: readonly RateCell[]) => void): BlockActions<RateRow> {
  const cell = (row: RateRow, column: string, amount: number | null): RateCell[] => {
    const date = dates.find((own) => columnOfDate(own) === column);
    return date === undefined ? [] : [{ row, date, figure, amount }];
  };
  return {
    onPaste: ({ rows, columns }, texts) => {
      let left = 0;
      const typed = texts.flatMap((line, at) =>
        line.flatMap((text, c) => {
          const read = readRate(text);
          if (!read || !rows[at] || !columns[c]) {
            left++;
            return [];
          }
          return cell(rows[at], columns[c], read.value);
        }),
      );
      if (left > 0) toast(`${countText(left, "cell")} could not be pasted. ${RATE_HINT}.`);
      type(typed);
    },
    onClear: ({ rows, columns }) => type(rows.flatMap((row) => columns.flatMap((column) => cell(row, column, null)))),
    onFill: (block, way) => type(filled(block, way, dates, figure)),
  };
}

/** Copies the first row's or column's rates to all others. */
function filled({ rows, columns }: Block<RateRow>, way: "down" | "right", dates: readonly string[], figure: RateFigure): RateCell[] {
  const own = columns.flatMap((column) => dates.find((date) => columnOfDate(date) === column) ?? []);
  return rows.flatMap((row) =>
    own.flatMap((date): RateCell[] => {
      const from = way === "down" ? rows[0].entries.get(date) : row.entries.get(own[0]);
      const amount = from?.[figure];
      return amount === undefined ? [] : [{ row, date, figure, amount }];
    }),
  );
}
