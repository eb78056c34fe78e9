"use client";
// The hours grid bound to the plan: what stands in it, and every way of typing into it.
import { parseAsString, useQueryState } from "nuqs";
import { useCallback, useRef, useState } from "react";
import { toast } from "sonner";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer, usePlan } from "../../client/session.tsx";
import type { HoursGrid, HoursOf, HoursRow } from "../../core/answers/hoursGrid.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { TypedCell } from "../../core/entry/typeHours.ts";
import type { Assignment } from "../../core/plan/schema.ts";
import { countText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import type { Block, BlockActions } from "../../ui/table/blocks.ts";
import { barFaults } from "../frame/barFaults.ts";
import { usePlanWindow } from "../frame/windowed.ts";
import { type NotPasted, pastedCells } from "./pasted.ts";

export const columnOfPeriod = ({ start }: Range): string => `p${start}`;

export function useHours(of: HoursOf, initial: Initial<AnswerOf<"hours">>) {
  const session = usePlan();
  const { range, grain } = usePlanWindow();
  const grid = useAnswer("hours", { of, range, grain }, initial);
  const [activeId, setActiveId] = useQueryState("row", parseAsString.withOptions({ shallow: true }));
  const [refused, setRefused] = useState<readonly NotPasted[]>([]);
  const type = useTyping();
  const addRow = async (fields: Pick<Assignment, "taskId"> & Partial<Pick<Assignment, "personId" | "roleId">>): Promise<boolean> => {
    const id = newId("work");
    const isMade = (await session.edit({ kind: "addAssignment", assignment: { id, ...fields, custom: [] } })).length === 0;
    if (isMade) void setActiveId(id);
    return isMade;
  };
  return {
    grid,
    activeId,
    setActiveId: (id: string) => void setActiveId(id),
    type,
    addRow,
    remove: (row: HoursRow) => void session.edit({ kind: "deleteAssignment", id: row.assignmentId }),
    untype: async (row: HoursRow) => {
      const made = await session.ask("untype", { assignmentId: row.assignmentId });
      if ("fault" in made) toast(barFaults[made.fault]);
      else void session.edit(made.edit);
    },
    blocks: grid ? blockActions(grid, type, setRefused) : undefined,
    refused,
    closeRefused: () => setRefused([]),
  };
}

/** Hours typed into cells. */
function useTyping() {
  const session = usePlan();
  // Each typing builds on the one before: an assignment's periods are one list.
  const last = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback(
    (cells: readonly TypedCell[], words: string) => {
      if (cells.length === 0) return;
      const next = async () => {
        const made = await session.ask("typeHours", { cells, words });
        const [first] = made.refused;
        if (first) toast(barFaults[first.fault]);
        if (made.edit) await session.edit(made.edit);
      };
      last.current = last.current.then(next, next);
    },
    [session],
  );
}

export type HoursHook = ReturnType<typeof useHours>;

function blockActions(
  { periods }: HoursGrid,
  type: (cells: readonly TypedCell[], words: string) => void,
  tell: (refused: readonly NotPasted[]) => void,
): BlockActions<HoursRow> {
  const periodsOf = ({ columns }: Block<HoursRow>) => periods.filter((period) => columns.includes(columnOfPeriod(period)));
  const fault = (rows: readonly HoursRow[]) => {
    const first = rows.find((row) => row.fault !== null)?.fault;
    if (first) toast(barFaults[first]);
    return rows.filter((row) => row.fault === null);
  };
  return {
    onPaste: (block, texts) => {
      const { cells, refused } = pastedCells(block.rows, periodsOf(block), texts);
      tell(refused);
      type(cells, `paste ${countText(cells.length, "cell")} of hours`);
    },
    onClear: (block) => {
      const cells = fault(block.rows).flatMap((row) =>
        periodsOf(block)
          .filter((period) => row.minutes[periods.indexOf(period)] > 0)
          .map((period) => ({ assignmentId: row.assignmentId, ...period, hours: 0 })),
      );
      type(cells, "clear hours");
    },
    onFill: (block, way) => {
      const [own, rows] = [periodsOf(block), fault(block.rows)];
      const hoursAt = (row: HoursRow, period: Range) => row.minutes[periods.indexOf(period)] / 60;
      const cells =
        way === "right"
          ? rows.flatMap((row) =>
              own.slice(1).map((period) => ({ assignmentId: row.assignmentId, ...period, hours: hoursAt(row, own[0]) })),
            )
          : rows
              .slice(1)
              .flatMap((row) => own.map((period) => ({ assignmentId: row.assignmentId, ...period, hours: hoursAt(rows[0], period) })));
      type(cells, `fill ${way}`);
    },
  };
}
