"use client";
// Dragging a bar onto a person: what the drop would do is worked out while the bar hangs over them.
import { type RefObject, useState } from "react";
import { toast } from "sonner";
import { type Dragged, usePointerDrag } from "../../ui/usePointerDrag.ts";
import { type DragData, daysOfEnds, useAlongTime } from "./useAlongTime.ts";
import type { useBalance } from "./useBalance.ts";
import { useOverPerson } from "./useOverPerson.ts";

/** A press that goes no further than this, in pixels, is a press. */
const FURTHEST_CLICK = 4;

/** @param frame What scrolls with the board.
 * @param daysAt How many days a distance on the board is. */
export function useBarDrag(balance: Balance, frame: RefObject<HTMLElement | null>, daysAt: (distance: number) => number) {
  const { shift, board } = balance;
  const hanging = useHanging(balance, daysAt);
  const end = ({ bar: { assignmentId }, edge }: DragData, { dx, x, y }: Dragged) => {
    const personId = personUnder(x, y);
    if (edge === undefined && personId !== null && !isHolder(board, personId, assignmentId)) {
      void hanging.drop(assignmentId, personId);
      return;
    }
    hanging.cancel();
    const days = daysAt(dx);
    const { startDays, stopDays } = daysOfEnds(edge, days);
    if (edge === undefined && personId === null) toast("Nothing was changed. Drop it on a person’s row.");
    else if (days !== 0) void shift(assignmentId, startDays, stopDays);
  };
  const { dragged, handlers } = usePointerDrag<DragData>({
    threshold: FURTHEST_CLICK,
    scroller: () => frame.current,
    onDrag: hanging.move,
    onDrop: end,
    onCancel: hanging.cancel,
  });
  const { targetId, outcome, loads, along, effect } = hanging;
  const isOwn = dragged !== null && targetId !== null && isHolder(board, targetId, dragged.data.bar.assignmentId);
  return { dragged, handlers, targetId: isOwn ? null : targetId, outcome, loads, along, effect };
}

/** The row under a dragged bar, and the effect of dropping it there. */
function useHanging(balance: Balance, daysAt: (distance: number) => number) {
  const { give, shiftPreview, keepDropped, board } = balance;
  const [targetId, setTarget] = useState<string | null>(null);
  const over = useOverPerson(balance);
  const { along, ask: askAlong, clear: clearAlong } = useAlongTime(shiftPreview);
  const cancel = () => {
    setTarget(null);
    over.clear();
    clearAlong();
  };
  const move = (data: DragData, { x, y, dx }: Dragged) => {
    const { bar, edge } = data;
    const personId = edge === undefined ? personUnder(x, y) : null;
    const isAlong = edge !== undefined || (personId !== null && isHolder(board, personId, bar.assignmentId));
    if (personId !== targetId) {
      setTarget(personId);
      clearAlong();
      if (personId !== null && !isAlong) void over.ask(bar, personId);
      else over.clear();
    }
    if (isAlong) void askAlong(data, daysAt(dx));
  };
  /** The preview of a drop is shown until the board has the edit in it. */
  const drop = async (assignmentId: string, personId: string) => {
    const known = personId === targetId ? over.loads : null;
    const given = give(assignmentId, personId);
    cancel();
    keepDropped(known);
    if ((await given).length > 0) keepDropped(null);
  };
  return {
    targetId,
    outcome: over.outcome,
    loads: over.loads,
    along: along?.shift ?? null,
    effect: along?.effect ?? over.effect,
    move,
    drop,
    cancel,
  };
}

type Balance = ReturnType<typeof useBalance>;

const isHolder = ({ bars }: Balance["board"], personId: string, assignmentId: string): boolean =>
  (bars[personId] ?? []).some((own) => own.assignmentId === assignmentId);

/** The person whose row lies under the pointer. Asked of the page itself: a row that is registered as a target costs
 * time whenever one scrolls into sight. */
function personUnder(x: number, y: number): string | null {
  const rows = document.elementsFromPoint(x, y).map((element) => element.closest<HTMLElement>("[data-person]"));
  return rows.find((row) => row !== null)?.dataset.person ?? null;
}
