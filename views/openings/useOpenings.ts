"use client";
// Binds the Openings screen to the plan: which opening is looked at, who is compared, what is given to whom.
import { parseAsArrayOf, parseAsBoolean, parseAsString, useQueryStates } from "nuqs";
import { useCallback, useMemo } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { OpeningRow } from "../../core/answers/openings.ts";
import type { Share } from "../../core/staffing/fillOpening.ts";
import { closed } from "../../ui/closed.ts";
import { newId } from "../../ui/newId.ts";
import { toggledList } from "../../ui/toggled.ts";

export const MOST_COMPARED = 3;

const params = {
  opening: parseAsString,
  find: parseAsString.withDefault(""),
  role: parseAsString.withDefault(""),
  pipeline: parseAsBoolean.withDefault(false),
  beside: parseAsArrayOf(parseAsString).withDefault([]),
  /** The person assigned, or another content of the sheet. */
  sheet: parseAsString,
};

export function useOpenings(initial: Initial<AnswerOf<"openings">>, first: Initial<AnswerOf<"candidates">>) {
  const session = usePlan();
  const [view, setView] = useQueryStates(params, { shallow: true });
  const show = useCallback((set: Parameters<typeof setView>[0]) => void setView(set), [setView]);
  const openings = useAnswer("openings", { pipeline: view.pipeline }, initial);
  const shown = useMemo(() => openings.filter((row) => fits(row, view.role, view.find)), [openings, view.role, view.find]);
  const selectedId = shown.some(({ id }) => id === view.opening) ? view.opening : (shown[0]?.id ?? null);
  const candidates = useAnswer("candidates", { openingId: selectedId ?? "" }, first);
  const give = async (openingId: string, shares: readonly Share[], isPencilled: boolean): Promise<string | null> => {
    const edit = await session.ask("fill", { openingId, shares, isPencilled, idStem: newId("work") });
    if (!edit) return "That is more than the opening needs.";
    const faults = await session.edit(edit);
    if (faults.length === 0) void setView(({ sheet }) => ({ sheet: closed(view.sheet)(sheet), beside: null }));
    return faults[0]?.message ?? null;
  };
  return {
    view,
    setView: show,
    openings,
    shown,
    selectedId,
    /** Null until they are those of the selected opening. */
    candidates: candidates?.opening.id === selectedId ? candidates : null,
    compare: (personId: string) => {
      const beside = toggledList(view.beside, personId);
      void setView({ beside: beside.slice(-MOST_COMPARED) });
    },
    give,
  };
}

function fits({ taskName, projectName, roleName, skills }: OpeningRow, role: string, find: string): boolean {
  const text = find.toLowerCase().trim();
  const said = [taskName, projectName, roleName, ...skills.map(({ name }) => name)];
  return (role === "" || roleName === role) && said.some((name) => name.toLowerCase().includes(text));
}

export type OpeningsHook = ReturnType<typeof useOpenings>;
