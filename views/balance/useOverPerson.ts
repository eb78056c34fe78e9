"use client";
// What dropping a bar onto somebody would do, worked out while it hangs over them.
import { useRef, useState } from "react";
import type { FinishMove } from "../../core/answers/impact.ts";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import type { Bar } from "../../core/load/bars.ts";
import { type DropOutcome, dropOutcome } from "../frame/dropOutcome.ts";
import type { useBoardEdits } from "./useBoardEdits.ts";

export interface OverPerson {
  outcome: DropOutcome | null;
  /** What the people concerned would have to do in each period, the person under the pointer first. */
  loads: PeopleLoads | null;
  /** Finishes that would move. */
  moves: readonly FinishMove[];
}

const nothing: OverPerson = { outcome: null, loads: null, moves: [] };

export function useOverPerson({ preview, movesAfter }: Pick<ReturnType<typeof useBoardEdits>, "preview" | "movesAfter">) {
  const [over, setOver] = useState<OverPerson>(nothing);
  const asked = useRef(0);
  const clear = () => {
    asked.current++;
    setOver(nothing);
  };
  const ask = async ({ assignmentId, isEffort }: Bar, personId: string) => {
    clear();
    const turn = asked.current;
    const loads = await preview(assignmentId, personId);
    if (turn !== asked.current || loads?.people[0]?.id !== personId) return;
    setOver({ outcome: dropOutcome(loads), loads, moves: [] });
    if (!isEffort) return;
    const moves = await movesAfter(assignmentId, personId);
    if (turn === asked.current) setOver((known) => ({ ...known, moves }));
  };
  return { ...over, ask, clear, keepLoads: (loads: PeopleLoads | null) => setOver({ ...nothing, loads }) };
}
