"use client";
// Dragging a bar onto a person: what the drop would do is worked out while the bar hangs over them.
import { type RefObject, useState } from "react";
import { toast } from "sonner";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import { type Dragged, usePointerDrag } from "../../ui/usePointerDrag.ts";
import { type DragData, daysOfEnds, useAlongTime } from "./useAlongTime.ts";
import type { useBalance } from "./useBalance.ts";
import { useOverPerson } from "./useOverPerson.ts";

/** A press that goes no further than this, in pixels, is a press. */
const FURTHEST_CLICK = 4;

/** @param frame What scrolls with the board.
 * @param daysAt How many days a distance on the board is. */
export function useBarDrag(
  balance: ReturnType<typeof useBalance>,
  frame: RefObject<HTMLElement | null>,
  daysAt: (distance: number) => number,
) {
  const { give, shift, shiftPreview, board } = balance;
  const [targetId, setTarget] = useState<string | null>(null);
  const [kept, setKept] = useState<{ board: typeof board; loads: PeopleLoads | null } | null>(null);
  const over = useOverPerson(balance);
  const { along, ask: askAlong, clear: clearAlong } = useAlongTime(shiftPreview);
  const isHolder = (personId: string, assignmentId: string) =>
    (board.bars[personId] ?? []).some((own) => own.assignmentId === assignmentId);
  const cancel = () => {
    setTarget(null);
    over.clear();
    clearAlong();
  };
  const move = (data: DragData, { x, y, dx }: Dragged) => {
    const { bar, edge } = data;
    const personId = edge === undefined ? personUnder(x, y) : null;
    const isAlong = edge !== undefined || (personId !== null && isHolder(personId, bar.assignmentId));
    if (personId !== targetId) {
      setTarget(personId);
      clearAlong();
      if (personId !== null && !isAlong) void over.ask(bar, personId);
      else over.clear();
    }
    if (isAlong) void askAlong(data, daysAt(dx));
  };
  /** What was worked out while the bar hung over somebody stands until the board has the edit in it. */
  const drop = async (assignmentId: string, personId: string) => {
    const known = personId === targetId ? over.loads : null;
    cancel();
    setKept({ board, loads: known });
    if ((await give(assignmentId, personId)).length > 0) setKept(null);
  };
  const end = ({ bar: { assignmentId }, edge }: DragData, { dx, x, y }: Dragged) => {
    const personId = personUnder(x, y);
    if (edge === undefined && personId !== null && !isHolder(personId, assignmentId)) {
      void drop(assignmentId, personId);
      return;
    }
    cancel();
    const days = daysAt(dx);
    const { startDays, stopDays } = daysOfEnds(edge, days);
    if (edge === undefined && personId === null) toast("Nothing was changed: drop it onto a person’s row.");
    else if (days !== 0) void shift(assignmentId, startDays, stopDays);
  };
  const { dragged, handlers } = usePointerDrag<DragData>({
    threshold: FURTHEST_CLICK,
    scroller: () => frame.current,
    onDrag: move,
    onDrop: end,
    onCancel: cancel,
  });
  const bar = dragged?.data.bar ?? null;
  const isOwn = bar !== null && targetId !== null && isHolder(targetId, bar.assignmentId);
  const { outcome, effect } = over;
  return {
    dragged,
    handlers,
    targetId: isOwn ? null : targetId,
    outcome,
    loads: over.loads ?? (kept?.board === board ? kept.loads : null),
    along: along?.shift ?? null,
    effect: along?.effect ?? effect,
  };
}

/** The person whose row lies under the pointer. Asked of the page itself: a row that is registered as a target costs
 * time whenever one scrolls into sight. */
function personUnder(x: number, y: number): string | null {
  const rows = document.elementsFromPoint(x, y).map((element) => element.closest<HTMLElement>("[data-person]"));
  return rows.find((row) => row !== null)?.dataset.person ?? null;
}
