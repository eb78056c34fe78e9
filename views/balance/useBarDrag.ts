"use client";
// Dragging a bar onto a person: what the drop would do is worked out while the bar hangs over them.
import type { DragEndEvent, DragMoveEvent, DragStartEvent } from "@dnd-kit/core";
import { useEffect, useRef, useState } from "react";
import type { FinishMove } from "../../core/answers/impact.ts";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import type { Bar } from "../../core/load/bars.ts";
import { type DropOutcome, dropOutcome } from "../frame/dropOutcome.ts";
import type { useBalance } from "./useBalance.ts";

/** What hangs on the pointer: a bar, or one end of it. */
interface DragData {
  bar: Bar;
  edge?: "start" | "finish";
}

/** @param daysAt How many days a distance on the board is. */
export function useBarDrag(
  { preview, movesAfter, give, shift, board }: ReturnType<typeof useBalance>,
  daysAt: (distance: number) => number,
) {
  const [bar, setBar] = useState<Bar | null>(null);
  const [targetId, setTarget] = useState<string | null>(null);
  const [outcome, setOutcome] = useState<DropOutcome | null>(null);
  /** What the people concerned would have to do in each period, the person under the pointer first. */
  const [loads, setLoads] = useState<PeopleLoads | null>(null);
  const [days, setDays] = useState(0);
  /** Finishes that would move. */
  const [moves, setMoves] = useState<readonly FinishMove[]>([]);
  const asked = useRef(0);

  const cancel = () => {
    asked.current++;
    setBar(null);
    setTarget(null);
    setOutcome(null);
    setLoads(null);
    setMoves([]);
    setDays(0);
  };
  const start = ({ active }: DragStartEvent) => setBar((active.data.current as DragData).bar);
  const move = async (event: DragMoveEvent) => {
    const { edge } = event.active.data.current as DragData;
    setDays(daysAt(event.delta.x));
    const personId = edge === undefined ? personUnder(event) : null;
    if (personId === targetId) return;
    const turn = ++asked.current;
    setTarget(personId);
    setOutcome(null);
    setLoads(null);
    setMoves([]);
    const { assignmentId, isEffort } = (event.active.data.current as DragData).bar;
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
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new board says what the loads would have been
  useEffect(() => {
    if (bar === null) setLoads(null);
  }, [board]);
  const end = (event: DragEndEvent) => {
    const personId = personUnder(event);
    const { assignmentId } = (event.active.data.current as DragData).bar;
    const { edge } = event.active.data.current as DragData;
    const days = daysAt(event.delta.x);
    if (edge === undefined && personId !== null && !isHolder(personId, assignmentId)) {
      void drop(assignmentId, personId);
      return;
    }
    cancel();
    if (edge !== undefined) {
      if (days !== 0) void shift(assignmentId, edge === "start" ? days : 0, edge === "finish" ? days : 0);
    } else if (personId !== null && days !== 0) void shift(assignmentId, days, days);
  };
  const isHolder = (personId: string, assignmentId: string) =>
    (board.bars[personId] ?? []).some((own) => own.assignmentId === assignmentId);
  const isOwn = bar !== null && targetId !== null && isHolder(targetId, bar.assignmentId);
  return { bar, targetId: isOwn ? null : targetId, outcome, loads, days, moves, start, move, end, cancel };
}

/** The person whose row lies under the pointer. Asked of the page itself: a row that is registered as a target costs
 * time whenever one scrolls into sight. */
function personUnder({ activatorEvent, delta }: Pick<DragMoveEvent, "activatorEvent" | "delta">): string | null {
  const { clientX, clientY } = activatorEvent as PointerEvent;
  const rows = document
    .elementsFromPoint(clientX + delta.x, clientY + delta.y)
    .map((element) => element.closest<HTMLElement>("[data-person]"));
  return rows.find((row) => row !== null)?.dataset.person ?? null;
}
