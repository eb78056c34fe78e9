"use client";
// The hours grid bound to the plan: what is in it, and every way of typing into it.
import { parseAsString, useQueryState } from "nuqs";
import { useCallback, useState } from "react";
import { toast } from "sonner";
import type { Initial } from "../../client/initial.ts";
import type { PlanSession } from "../../client/planSession.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { HoursGrid, HoursOf, HoursRow } from "../../core/answers/hoursGrid.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { Assignment } from "../../core/plan/schema.ts";
import type { TypedCell } from "../../core/typing/typeHours.ts";
import { countText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import type { Block, BlockActions } from "../../ui/table/blocks.ts";
import { barFaults } from "../effect/barFaults.ts";
import { tellOutside } from "../notices/outsideNotice.tsx";
import { useInTurn } from "../scope/useInTurn.ts";
import { usePlanWindow } from "../scope/windowed.ts";
import { asTheyAre, clearedCells, filledCells } from "./blockCells.ts";
import { type NotPasted, pastedCells } from "./pasted.ts";

export const columnOfPeriod = ({ start }: Range): string => `p${start}`;

export function useHours(of: HoursOf, initial: Initial<AnswerOf<"hours">>) {
  const session = usePlan();
  const { range, grain } = usePlanWindow();
  const query = { of, range, grain };
  const grid = useAnswer("hours", query, initial);
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
    blocks: grid ? blockActions(grid, () => session.ask("hours", query), type, setRefused) : undefined,
    refused,
    closeRefused: () => setRefused([]),
  };
}

/** The cells to type in, once all that was typed before is in the plan. */
type CellsThen = () => readonly TypedCell[] | Promise<readonly TypedCell[]>;

/** Hours typed into cells: each typing builds on the one before, because an assignment's periods are one list. */
function useTyping() {
  const session = usePlan();
  const inTurn = useInTurn();
  return useCallback(
    (cellsThen: CellsThen, words: string) =>
      inTurn(async () => {
        const cells = await cellsThen();
        if (cells.length > 0) await typed(session, cells, words);
      }),
    [session, inTurn],
  );
}

async function typed(session: PlanSession, cells: readonly TypedCell[], words: string): Promise<void> {
  const made = await session.ask("typeHours", { cells, words });
  const [first] = made.refused;
  if (first) toast(barFaults[first.fault]);
  if (!made.edit || (await session.edit(made.edit)).length > 0) return;
  await tellOutside(
    session,
    cells.filter(({ hours }) => hours > 0),
  );
}

export type HoursHook = ReturnType<typeof useHours>;

/** @param now The same grid as it is by the time it is wanted. */
function blockActions(
  { periods }: HoursGrid,
  now: () => Promise<HoursGrid | null>,
  type: (cellsThen: CellsThen, words: string) => void,
  tell: (refused: readonly NotPasted[]) => void,
): BlockActions<HoursRow> {
  const periodsOf = ({ columns }: Block<HoursRow>) => periods.filter((period) => columns.includes(columnOfPeriod(period)));
  const typeable = ({ rows }: Block<HoursRow>) => {
    const first = rows.find((row) => row.fault !== null)?.fault;
    if (first) toast(barFaults[first]);
    return rows.filter((row) => row.fault === null);
  };
  return {
    onPaste: (block, texts) => {
      const { cells, refused } = pastedCells(block.rows, periodsOf(block), texts);
      tell(refused);
      type(() => cells, `paste ${countText(cells.length, "cell")} of hours`);
    },
    onClear: (block) => {
      const [own, rows] = [periodsOf(block), typeable(block)];
      type(async () => clearedCells(asTheyAre(await now(), rows), own), "clear hours");
    },
    onFill: (block, way) => {
      const [own, rows] = [periodsOf(block), typeable(block)];
      type(async () => filledCells(asTheyAre(await now(), rows), own, way), `fill ${way}`);
    },
  };
}
