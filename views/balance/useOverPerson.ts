"use client";
// The effect of dropping a bar onto a person, calculated while it is over them.
import { useRef, useState } from "react";
import type { PeopleLoads } from "../../core/answers/peopleLoads.ts";
import type { Bar } from "../../core/load/bars.ts";
import { type DropOutcome, dropOutcome } from "../effect/dropOutcome.ts";
import type { DragEffect } from "./dragEffect.ts";
import type { useBoardEdits } from "./useBoardEdits.ts";

export interface OverPerson {
  outcome: DropOutcome | null;
  /** The load of the people concerned in each period, the person under the pointer first. */
  loads: PeopleLoads | null;
  effect: DragEffect | null;
}

const nothing: OverPerson = { outcome: null, loads: null, effect: null };

export function useOverPerson({ preview, effectAfter }: Pick<ReturnType<typeof useBoardEdits>, "preview" | "effectAfter">) {
  const [over, setOver] = useState<OverPerson>(nothing);
  const asked = useRef(0);
  const clear = () => {
    asked.current++;
    setOver(nothing);
  };
  const ask = async ({ assignmentId }: Bar, personId: string) => {
    clear();
    const turn = asked.current;
    const loads = await preview(assignmentId, personId);
    if (turn !== asked.current || loads?.people[0]?.id !== personId) return;
    setOver({ outcome: dropOutcome(loads), loads, effect: null });
    const effect = await effectAfter(assignmentId, personId);
    if (turn === asked.current) setOver((known) => ({ ...known, effect }));
  };
  return { ...over, ask, clear };
}
