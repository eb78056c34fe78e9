"use client";
// Binds the Balance screen to the plan: its window, what is open and selected, and the edits made there.
import { createLoader, createSerializer, parseAsArrayOf, parseAsString, useQueryState, useQueryStates } from "nuqs";
import { useCallback, useMemo, useState } from "react";
import { toast } from "sonner";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer, useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { FinishMove } from "../../core/answers/impact.ts";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { Edit, SingleEdit } from "../../core/edits/edit.ts";
import type { BarChange } from "../../core/entry/moveBar.ts";
import type { Fault } from "../../core/plan/faults.ts";
import { isCalendarDate } from "../../core/plan/schema.ts";
import { usePlanWindow } from "../frame/windowed.ts";
import { boardViewOf, filterKeys, type ViewParams, viewParams } from "./balanceParams.ts";

export interface SelectedCell {
  personId: string;
  range: Range;
}

export function useBalance(initial: Initial<AnswerOf<"board">>) {
  const session = usePlan();
  const { range, grain, setGrain } = usePlanWindow();
  const [open, setOpen] = useQueryState("open", parseAsArrayOf(parseAsString).withDefault([]).withOptions({ shallow: true }));
  const [params, setParams] = useQueryStates(viewParams, { shallow: true });
  const view = boardViewOf(params);
  const [cell, setCell] = useQueryState("cell", parseAsString.withOptions({ shallow: true }));
  const [moving, setMoving] = useState<string | null>(null);
  const board = useAnswer("board", { range, grain, open, view, countsTasks: params.show === "tasks" }, initial);
  const selected = useMemo(() => readCell(cell), [cell]);
  const explained = useMaybeAnswer("cell", selected && { ...selected, counting: view.counting }, null);
  const takers = useMaybeAnswer("takers", moving === null ? null : { assignmentId: moving }, null);

  const select = useCallback(
    (next: SelectedCell | null) => {
      setMoving(null);
      void setCell(next && `${next.personId}@${formatDay(next.range.start)}_${formatDay(next.range.stop - 1)}`);
    },
    [setCell],
  );
  const toggle = useCallback(
    (personId: string) => void setOpen((ids) => (ids.includes(personId) ? ids.filter((id) => id !== personId) : [...ids, personId])),
    [setOpen],
  );
  /** Bars that are moved and given together. */
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const withPicked = (assignmentId: string): string[] => (picked.has(assignmentId) ? [...picked] : [assignmentId]);
  const giveEdit = (assignmentId: string, personId: string): Edit => {
    const edits = withPicked(assignmentId).map((id) => ({ kind: "reassign" as const, id, personId }));
    return edits.length === 1 ? edits[0] : { kind: "together", words: `give ${edits.length} assignments away`, edits };
  };
  const give = (assignmentId: string, personId: string): Promise<readonly Fault[]> => {
    const edit = giveEdit(assignmentId, personId);
    setMoving(null);
    setPicked(new Set());
    return session.edit(edit);
  };
  const change = async (made: BarChange): Promise<boolean> => {
    if ("fault" in made) {
      toast(made.fault);
      return false;
    }
    return (await session.edit(made.edit)).length === 0;
  };
  /** What the people concerned would look like after a drop: first the one who takes, then those who give. */
  const preview = (assignmentId: string, personId: string) => {
    const given = new Set(withPicked(assignmentId));
    const givers = Object.keys(board.bars).filter((id) => board.bars[id].some((bar) => given.has(bar.assignmentId)));
    const ids = [personId, ...givers.filter((id) => id !== personId)];
    return session.preview(giveEdit(assignmentId, personId), "loads", { range, grain, ids, counting: view.counting });
  };
  /** Finishes that would move after a drop: people decide how long effort-sized work lasts. */
  const movesAfter = async (assignmentId: string, personId: string): Promise<FinishMove[]> =>
    (await session.ask("impact", { edit: giveEdit(assignmentId, personId) })).finishes;
  return {
    board,
    range,
    grain,
    setGrain,
    open,
    toggle,
    params,
    isFiltered: filterKeys.some((key) => params[key] !== ""),
    measure: params.show,
    setParams: (set: Partial<ViewParams>) => void setParams(set),
    /** How the board is looked at, as it stands in an address; and the same taken from one. */
    viewQuery: () => createSerializer(viewParams)(params),
    takeView: (query: string) => void setParams(createLoader(viewParams)(query.startsWith("?") ? query : `?${query}`)),
    selected,
    explained,
    select,
    moving,
    setMoving,
    takers,
    give,
    movesAfter,
    picked,
    pick: (assignmentId: string) =>
      setPicked((known) => {
        const next = new Set(known);
        if (!next.delete(assignmentId)) next.add(assignmentId);
        return next;
      }),
    shift: async (assignmentId: string, startDays: number, stopDays: number) => {
      const made: BarChange[] = [];
      for (const id of withPicked(assignmentId)) made.push(await session.ask("moveBar", { assignmentId: id, startDays, stopDays }));
      const edits = made.flatMap((own) => ("edit" in own ? [own.edit as SingleEdit] : []));
      const [first] = made;
      // One that cannot move stays; all that can do so together.
      if (made.length === 1 || edits.length === 0) return change(first);
      return change({ edit: { kind: "together", words: `move ${edits.length} assignments`, edits }, range });
    },
    typeHours: async (assignmentId: string, period: Range, hours: number) =>
      change(await session.ask("typePeriod", { assignmentId, period, hours })),
    untype: async (assignmentId: string) => change(await session.ask("untype", { assignmentId })),
    edit: (made: Edit) => session.edit(made),
    preview,
  };
}

function readCell(text: string | null): SelectedCell | null {
  const parts = /^(.+)@(\d{4}-\d{2}-\d{2})_(\d{4}-\d{2}-\d{2})$/.exec(text ?? "");
  if (!parts || !isCalendarDate(parts[2]) || !isCalendarDate(parts[3])) return null;
  return { personId: parts[1], range: { start: parseDay(parts[2]), stop: parseDay(parts[3]) + 1 } };
}
