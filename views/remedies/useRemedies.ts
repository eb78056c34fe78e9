"use client";
// Remedies of an overload as they are found, and anew whenever the plan changes.
import { useEffect, useState } from "react";
import type { RemedyNews } from "../../client/searches.ts";
import { useHostState, usePlan } from "../../client/session.tsx";
import type { Range } from "../../core/calendar/periods.ts";
import { newId } from "../../ui/newId.ts";
import { usePlanFacts } from "../frame/facts.ts";

export interface Remedies extends RemedyNews {
  isDone: boolean;
}

/** @param range Null while there is nothing to look for. @param isIdle Looks for what the person could take. */
export function useRemedies(personId: string, range: Range | null, isIdle = false): Remedies | null {
  const session = usePlan();
  const { today } = usePlanFacts();
  const version = useHostState()?.version;
  const [found, setFound] = useState<Remedies | null>(null);
  const [start, stop] = [range?.start, range?.stop];
  // biome-ignore lint/correctness/useExhaustiveDependencies: another version of the plan has other remedies
  useEffect(() => {
    setFound(null);
    if (start === undefined || stop === undefined) return;
    const query = { personId, range: { start, stop }, today, idStem: newId("remedy"), isIdle };
    return session.search("remedies", query, (news, isDone) => setFound({ ...news, isDone })).leave;
  }, [session, personId, start, stop, today, version, isIdle]);
  return found;
}
