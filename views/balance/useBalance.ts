"use client";
// Binds the Balance screen to the plan: its window, what is open and selected, and the edits made there.
import { createLoader, createSerializer, parseAsArrayOf, parseAsString, useQueryState, useQueryStates } from "nuqs";
import { useCallback, useEffect, useEffectEvent, useMemo, useState } from "react";
import { dataOf, type Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, useMaybeAnswer } from "../../client/session.tsx";
import { useHasRested } from "../../client/useHasRested.ts";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { Bar } from "../../core/load/bars.ts";
import type { Counting } from "../../core/load/counting.ts";
import { isCalendarDate } from "../../core/values/calendarDate.ts";
import { focusSoon } from "../../ui/focusSoon.ts";
import { toggledList } from "../../ui/toggled.ts";
import { usePlanWindow } from "../scope/windowed.ts";
import { afterDrop } from "./afterDrop.ts";
import { boardViewOf, FIRST_ROWS, filterKeys, isWhole, type ViewParams, viewParams } from "./balanceParams.ts";
import { useBoardEdits } from "./useBoardEdits.ts";
import { useBoardPreview } from "./useBoardPreview.ts";

export interface SelectedCell {
  personId: string;
  range: Range;
}

export function useBalance(initial: Initial<AnswerOf<"board">>) {
  const { range, grain, setGrain } = usePlanWindow();
  const [open, setOpen] = useQueryState("open", parseAsArrayOf(parseAsString).withDefault([]).withOptions({ shallow: true }));
  const [params, setParams] = useQueryStates(viewParams, { shallow: true });
  const view = boardViewOf(params);
  const query = { range, grain, open, view, countsTasks: params.show === "tasks" };
  const isAsked = useHasRested() || isWhole(dataOf(initial));
  const before = useAnswer("board", isAsked ? query : { ...query, limit: FIRST_ROWS }, initial);
  const { shown, keepDropped } = useDropped(before);
  const preview = useBoardPreview(shown, query);
  const { board, setPreviewed } = preview;
  const cell = useCell(view.counting, setPreviewed);
  const toggle = useCallback((personId: string) => void setOpen((ids) => toggledList(ids, personId)), [setOpen]);
  const edits = useBoardEdits({ board, open, range, grain, counting: view.counting, onGiven: () => cell.setMoving(null) });
  return {
    ...preview,
    keepDropped,
    range,
    grain,
    setGrain,
    open,
    toggle,
    params,
    isFiltered: filterKeys.some((key) => params[key] !== ""),
    measure: params.show,
    setParams: (set: Partial<ViewParams>) => void setParams(set),
    /** The view of the board, as it is now in an address; and the same read from one. */
    viewQuery: () => createSerializer(viewParams)(params),
    takeView: (query: string) => void setParams(createLoader(viewParams)(query.startsWith("?") ? query : `?${query}`)),
    ...cell,
    ...edits,
  };
}

/** The board after a drop, until the one that has the edit in it comes. */
function useDropped(before: AnswerOf<"board">) {
  const [kept, setKept] = useState<{ on: AnswerOf<"board">; board: AnswerOf<"board"> } | null>(null);
  const keepDropped = (loads: PeopleLoads | null) => setKept(loads && { on: before, board: afterDrop(before, loads) });
  return { shown: kept?.on === before ? kept.board : before, keepDropped };
}

/** The cell that is selected, what it is made of, and what is done there: reassigning its work, or remedies for it. */
function useCell(counting: Counting, setPreviewed: (line: null) => void) {
  const [cell, setCell] = useQueryState("cell", parseAsString.withOptions({ shallow: true }));
  const [moving, setMoving] = useState<string | null>(null);
  const [isReassigning, setReassigning] = useState(false);
  const [isRemedying, setRemedying] = useState(false);
  const selected = useMemo(() => readCell(cell), [cell]);
  const explained = useMaybeAnswer("cell", selected && { ...selected, counting }, null);
  const recipients = useMaybeAnswer("recipients", moving === null ? null : { assignmentId: moving }, null);
  const select = useCallback(
    (next: SelectedCell | null) => {
      setMoving(null);
      setPreviewed(null);
      void setCell(next && `${next.personId}@${formatDay(next.range.start)}_${formatDay(next.range.stop - 1)}`);
    },
    [setCell, setPreviewed],
  );
  /** Selects a cell to reassign its work: who could take it where that is one assignment, else which. */
  const reassignIn = useCallback(
    (next: SelectedCell) => {
      select(next);
      setReassigning(true);
    },
    [select],
  );
  /** Selects a cell and leads to what could be done about it. */
  const remedyIn = useCallback(
    (next: SelectedCell) => {
      select(next);
      setRemedying(true);
    },
    [select],
  );
  useReassigning({ isReassigning, selected, explained, setMoving, onDone: () => setReassigning(false) });
  const onRemedies = () => setRemedying(false);
  return { selected, explained, select, reassignIn, remedyIn, isRemedying, onRemedies, moving, setMoving, recipients };
}

/** Once the cell is explained: to the recipients of its one assignment, or to the first of several. */
function useReassigning({
  isReassigning,
  selected,
  explained,
  setMoving,
  onDone,
}: {
  isReassigning: boolean;
  selected: SelectedCell | null;
  explained: AnswerOf<"cell"> | null;
  setMoving: (assignmentId: string) => void;
  onDone: () => void;
}) {
  const isAbout = explained?.personId === selected?.personId && explained?.range.start === selected?.range.start;
  const begin = useEffectEvent(([first, ...more]: readonly Bar[]) => {
    onDone();
    if (first && more.length === 0) setMoving(first.assignmentId);
    else if (first) focusSoon(reassignId(first.assignmentId));
  });
  useEffect(() => {
    if (isReassigning && explained && isAbout) begin(explained.bars);
  }, [isReassigning, explained, isAbout]);
}

/** The id of the button that reassigns an assignment. */
export const reassignId = (assignmentId: string) => `reassign-${assignmentId}`;

function readCell(text: string | null): SelectedCell | null {
  const parts = /^(.+)@(\d{4}-\d{2}-\d{2})_(\d{4}-\d{2}-\d{2})$/.exec(text ?? "");
  if (!parts || !isCalendarDate(parts[2]) || !isCalendarDate(parts[3])) return null;
  return { personId: parts[1], range: { start: parseDay(parts[2]), stop: parseDay(parts[3]) + 1 } };
}
