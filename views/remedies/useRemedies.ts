"use client";
// Remedies of a problem as they are found, and again whenever the plan changes.
import { useLayoutEffect, useState } from "react";
import type { RemedyNews, RemedyProblem } from "../../client/searches.ts";
import type { Redacted } from "../../client/seen.ts";
import { useHost, usePlan } from "../../client/session.tsx";
import { newId } from "../../ui/newId.ts";
import { usePlanFacts } from "../scope/facts.ts";

export interface Remedies extends Redacted<RemedyNews> {
  isDone: boolean;
  /** The problem that they are remedies of, as text. */
  asked: string;
}

/** @param problem Null while there is nothing to look for. */
export function useRemedies(problem: RemedyProblem | null): Remedies | null {
  const session = usePlan();
  const { today } = usePlanFacts();
  const version = useHost((state) => state?.version);
  const [found, setFound] = useState<Remedies | null>(null);
  const asked = problem === null ? null : JSON.stringify(problem);
  // Begun before the screen is painted: what is found comes that much sooner.
  useLayoutEffect(() => {
    setFound(null);
    // Another version of the plan has other remedies; before it has been read there are none.
    if (asked === null || version === undefined) return;
    const query = { problem: JSON.parse(asked), today, idStem: newId("remedy") };
    return session.search("remedies", query, (news, isDone) => setFound({ ...news, isDone, asked })).leave;
  }, [session, asked, today, version]);
  return found;
}
