"use client";
// Binds evening out to the plan: what may be touched, the search under way, which lines are taken, what they result in.
import { parseAsArrayOf, parseAsString, useQueryState } from "nuqs";
import { useEffect, useMemo, useRef, useState } from "react";
import type { EvenOutQuery } from "../../client/evenOutQuery.ts";
import type { EvenOutNews } from "../../client/searches.ts";
import type { Redacted } from "../../client/seen.ts";
import { useLastAnswer, usePlan } from "../../client/session.tsx";
import type { EvenOutKind } from "../../core/balancing/kinds.ts";
import { usualEvenOutKinds } from "../../core/balancing/kinds.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { countText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { kindOf } from "../../ui/options.ts";
import { toggledSet } from "../../ui/toggled.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";

export interface EvenOutChoices {
  kinds: readonly EvenOutKind[];
  mostDelayDays: number;
  isPencilledOnly: boolean;
  leastHours: number;
  seconds: number;
}

const usualChoices: EvenOutChoices = { kinds: usualEvenOutKinds, mostDelayDays: 20, isPencilledOnly: false, leastHours: 1, seconds: 10 };

export type EvenOutHook = ReturnType<typeof useEvenOut>;

export function useEvenOut() {
  const session = usePlan();
  const { range } = usePlanWindow();
  const { today } = usePlanFacts();
  const [scope, setScope] = useQueryState("even", parseAsString.withOptions({ shallow: true }));
  const [more, setMore] = useQueryState("with", parseAsArrayOf(parseAsString).withDefault([]).withOptions({ shallow: true }));
  const [choices, setChoices] = useState(usualChoices);
  const window = useMemo(() => ({ start: Math.max(range.start, today), stop: range.stop }), [range, today]);
  const search = useSearch();
  const lines = useLines(search, window);
  const start = () => {
    lines.takeAll();
    const { leastHours, ...rest } = choices;
    search.start({ ...rest, window, scope: scopeOf(scope, more), leastMinutes: leastHours * 60, today, idStem: newId("even") });
  };
  /** Results for another question are no longer shown. */
  const turnTo = (next: string | null, others: readonly string[] = []) => {
    search.forget();
    void setScope(next);
    void setMore(others.length > 0 ? [...others] : null);
  };
  const apply = async (): Promise<boolean> => {
    const edits = lines.taken.flatMap((line) => line.edits);
    const words = `even out: ${countText(lines.taken.length, "move")}`;
    const isMade = (await session.edit({ kind: "together", words, edits })).length === 0;
    if (isMade) turnTo(null);
    return isMade;
  };
  return {
    isOpen: scope !== null,
    scope: scope ?? "all",
    /** Ids of projects next to the one that is chosen. */
    more,
    setScope: turnTo,
    window,
    choices,
    choose: (set: Partial<EvenOutChoices>) => setChoices((known) => ({ ...known, ...set })),
    news: search.news,
    isRunning: search.isRunning,
    start,
    stop: search.stop,
    ...lines,
    apply,
  };
}

/** The search under way, and what it has reported so far. */
function useSearch() {
  const session = usePlan();
  const [news, setNews] = useState<Redacted<EvenOutNews> | null>(null);
  const [isRunning, setRunning] = useState(false);
  const search = useRef<{ end: () => void; leave: () => void } | null>(null);
  useEffect(() => () => search.current?.leave(), []);
  const begin = (isToRun: boolean) => {
    search.current?.leave();
    setNews(null);
    setRunning(isToRun);
  };
  const start = (asked: EvenOutQuery) => {
    begin(true);
    search.current = session.search("evenOut", asked, (reported, isDone) => {
      setNews(reported);
      if (isDone) setRunning(false);
    });
  };
  return { news, isRunning, start, stop: () => search.current?.end(), forget: () => begin(false) };
}

/** The selected moves, and their joint effect. */
function useLines({ news, isRunning }: ReturnType<typeof useSearch>, window: Range) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const found = useMemo(() => (isRunning ? [] : (news?.found ?? [])), [isRunning, news]);
  const taken = useMemo(() => found.filter((_, at) => !left.has(at)), [found, left]);
  const query = useMemo(() => ({ lines: taken.map(({ edits }) => ({ edits })), window }), [taken, window]);
  const { answer, isCurrent } = useLastAnswer("evened", news && !isRunning ? query : null);
  const toggle = (at: number) => setLeft((known) => toggledSet(known, at));
  return {
    found,
    left,
    toggle,
    takeAll: () => setLeft(new Set()),
    taken,
    /** The joint effect of the moves that were measured last: nothing moves on the screen while the next are measured. */
    measured: found.length > 0 ? answer : null,
    /** The joint effect of the selected moves, once it is known. */
    evened: isCurrent ? answer : null,
  };
}

function scopeOf(text: string | null, more: readonly string[]): EvenOutQuery["scope"] {
  const { kind, id } = kindOf(text ?? "");
  if (kind === "role") return { roleId: id };
  if (kind === "team") return { teamId: id };
  return kind === "project" ? { projectIds: [id, ...more] } : null;
}
