"use client";
// A person's week bound to the plan: what is in it, and every way of recording hours.
import { parseAsString, useQueryStates } from "nuqs";
import { useCallback, useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { Week, WeekQuery, WeekRow } from "../../core/answers/week.ts";
import { type Day, formatDay } from "../../core/calendar/day.ts";
import type { EditOf } from "../../core/edits/edit.ts";
import { exactHours } from "../../core/values/units.ts";
import { newId } from "../../ui/newId.ts";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { useInTurn } from "../scope/useInTurn.ts";
import { weekQueryOf } from "./weekQuery.ts";

type Cell = Omit<EditOf<"recordHours">["cells"][number], "newId">;
type AddedRow = WeekQuery["added"][number];

export function useWeek(initial: Initial<AnswerOf<"week">>) {
  const session = usePlan();
  const inTurn = useInTurn();
  const { people } = useNames();
  const { today } = usePlanFacts();
  const [params, setParams] = useQueryStates({ person: parseAsString, week: parseAsString }, { shallow: true });
  /** The cell whose note is open. */
  const [noted, setNoted] = useState<{ key: string; at: number } | null>(null);
  const [added, setAdded] = useState<readonly AddedRow[]>([]);
  const query = { ...weekQueryOf(params, people, today), added };
  const week = useAnswer("week", query, initial);
  const { personId } = query;
  const record = useCallback(
    (cells: readonly Cell[]) =>
      inTurn(async () => {
        if (cells.length === 0) return;
        await session.edit({ kind: "recordHours", personId, cells: cells.map((cell) => ({ ...cell, newId: newId("hours") })) });
      }),
    [session, inTurn, personId],
  );
  const show = (set: { person?: string; week?: Day }) => {
    setAdded([]);
    setNoted(null);
    void setParams({
      ...(set.person !== undefined && { person: set.person }),
      ...(set.week !== undefined && { week: formatDay(set.week) }),
    });
  };
  return {
    week,
    people,
    personId,
    show,
    noted,
    setNoted,
    record,
    addRow: (row: AddedRow) => setAdded((known) => [...known, row]),
    acceptPlanned: () => week && record(plannedCells(week)),
    copyLast: async () => {
      if (!week) return;
      const last = await session.ask("week", { personId, day: week.start - 7, added: [] });
      if (last) record(copiedCells(last, week));
    },
    decide: (ids: readonly string[], state: EditOf<"decideHours">["state"]) => {
      if (ids.length > 0) void session.edit({ kind: "decideHours", ids: [...ids], state });
    },
    setLeft: (row: WeekRow, hours: number) => {
      if (row.assignmentId !== null)
        void session.edit({ kind: "changeAssignment", id: row.assignmentId, set: { remaining: { hours, asOf: formatDay(today) } } });
    },
    setDone: (row: WeekRow, isDone: boolean) => {
      if (row.taskId !== undefined) void session.edit({ kind: "changeTask", id: row.taskId, set: { state: isDone ? "done" : "underWay" } });
    },
  };
}

export type WeekHook = ReturnType<typeof useWeek>;

/** True of a cell that cannot be typed in: its month is closed, or its hours are submitted or approved. */
export const isFixedCell = (week: Week, { entries }: WeekRow, at: number): boolean =>
  isClosedDay(week, week.days[at]) || entries[at].some(({ state }) => state === "submitted" || state === "approved");

/** True of a day of a closed month. */
export const isClosedDay = ({ closedUntil }: Pick<Week, "closedUntil">, day: Day): boolean => closedUntil !== null && day <= closedUntil;

/** A cell of a row and day. */
export const cellOf = ({ taskId, activity }: WeekRow, day: Day, hours: number | null): Cell => ({
  date: formatDay(day),
  hours,
  ...(taskId !== undefined && { taskId }),
  ...(activity !== undefined && { activity }),
});

/** The planned hours of every cell without any, of some rows or of all. */
export const plannedCells = (week: Pick<Week, "rows" | "days" | "closedUntil">): Cell[] =>
  week.rows.flatMap((row) =>
    week.days.flatMap((day, at) =>
      row.entries[at].length === 0 && row.planned[at] > 0 && !isClosedDay(week, day) ? [cellOf(row, day, exactHours(row.planned[at]))] : [],
    ),
  );

/** The hours of one week for the empty cells of the next. */
export const copiedCells = (last: Week, next: Week): Cell[] =>
  last.rows.flatMap((row) => {
    const same = next.rows.find(({ key }) => key === row.key);
    return next.days.flatMap((day, at) =>
      row.recorded[at] > 0 && (same?.entries[at].length ?? 0) === 0 && !isClosedDay(next, day)
        ? [cellOf(row, day, exactHours(row.recorded[at]))]
        : [],
    );
  });
