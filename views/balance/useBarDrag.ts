"use client";
// Dragging a bar onto a person: what the drop would do is worked out while the bar hangs over them.
import { type RefObject, useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import type { FinishMove } from "../../core/answers/impact.ts";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import type { Bar } from "../../core/load/bars.ts";
import { type Dragged, usePointerDrag } from "../../ui/usePointerDrag.ts";
import { type DropOutcome, dropOutcome } from "../frame/dropOutcome.ts";
import type { useBalance } from "./useBalance.ts";

/** A press that goes no further than this, in pixels, is a press. */
const FURTHEST_CLICK = 4;

/** What hangs on the pointer: a bar, or one end of it. */
export interface DragData {
  bar: Bar;
  edge?: "start" | "finish";
}

/** @param frame What scrolls with the board.
 * @param daysAt How many days a distance on the board is. */
export function useBarDrag(
  { preview, movesAfter, give, shift, board }: ReturnType<typeof useBalance>,
  frame: RefObject<HTMLElement | null>,
  daysAt: (distance: number) => number,
) {
  const [targetId, setTarget] = useState<string | null>(null);
  const [outcome, setOutcome] = useState<DropOutcome | null>(null);
  /** What the people concerned would have to do in each period, the person under the pointer first. */
  const [loads, setLoads] = useState<PeopleLoads | null>(null);
  /** Finishes that would move. */
  const [moves, setMoves] = useState<readonly FinishMove[]>([]);
  const asked = useRef(0);

  const cancel = () => {
    asked.current++;
    setTarget(null);
    setOutcome(null);
    setLoads(null);
    setMoves([]);
  };
  const move = async ({ bar, edge }: DragData, { x, y }: Dragged) => {
    const personId = edge === undefined ? personUnder(x, y) : null;
    if (personId === targetId) return;
    const turn = ++asked.current;
    setTarget(personId);
    setOutcome(null);
    setLoads(null);
    setMoves([]);
    const { assignmentId, isEffort } = bar;
    if (personId === null || isHolder(personId, assignmentId)) return;
    const wouldBe = await preview(assignmentId, personId);
    if (turn !== asked.current || wouldBe?.people[0]?.id !== personId) return;
    setOutcome(dropOutcome(wouldBe));
    setLoads(wouldBe);
    if (!isEffort) return;
    const finishes = await movesAfter(assignmentId, personId);
    if (turn === asked.current) setMoves(finishes);
  };
  /** What was worked out while the bar hung over somebody stands until the board has the edit in it. */
  const drop = async (assignmentId: string, personId: string) => {
    const known = personId === targetId ? loads : null;
    cancel();
    setLoads(known);
    if ((await give(assignmentId, personId)).length > 0) setLoads(null);
  };
  const end = ({ bar: { assignmentId }, edge }: DragData, { dx, x, y }: Dragged) => {
    const personId = personUnder(x, y);
    const days = daysAt(dx);
    if (edge === undefined && personId !== null && !isHolder(personId, assignmentId)) {
      void drop(assignmentId, personId);
      return;
    }
    cancel();
    if (edge !== undefined) {
      if (days !== 0) void shift(assignmentId, edge === "start" ? days : 0, edge === "finish" ? days : 0);
    } else if (personId !== null && days !== 0) void shift(assignmentId, days, days);
    else if (personId === null) toast("Nothing was changed: drop it onto a person’s row.");
  };
  const isHolder = (personId: string, assignmentId: string) =>
    (board.bars[personId] ?? []).some((own) => own.assignmentId === assignmentId);
  const { dragged, handlers } = usePointerDrag<DragData>({
    threshold: FURTHEST_CLICK,
    scroller: () => frame.current,
    onDrag: (data, at) => void move(data, at),
    onDrop: end,
    onCancel: cancel,
  });
  const bar = dragged?.data.bar ?? null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new board says what the loads would have been
  useEffect(() => {
    if (bar === null) setLoads(null);
  }, [board]);
  const isOwn = bar !== null && targetId !== null && isHolder(targetId, bar.assignmentId);
  return { dragged, handlers, targetId: isOwn ? null : targetId, outcome, loads, days: dragged ? daysAt(dragged.dx) : 0, moves };
}

/** The person whose row lies under the pointer. Asked of the page itself: a row that is registered as a target costs
 * time whenever one scrolls into sight. */
function personUnder(x: number, y: number): string | null {
  const rows = document.elementsFromPoint(x, y).map((element) => element.closest<HTMLElement>("[data-person]"));
  return rows.find((row) => row !== null)?.dataset.person ?? null;
}
