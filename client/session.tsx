"use client";
// The plan as the screens see it: answers that follow every edit, and the ways to make one.
import { createContext, type ReactNode, useContext, useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { HostState, Notice } from "./host.ts";
import { dataOf, type Initial } from "./initial.ts";
import { PlanSession } from "./planSession.ts";
import type { AnswerOf, QueryOf, Question } from "./questions.ts";

const SessionContext = createContext<PlanSession | null>(null);

interface PlanProviderProps {
  children: ReactNode;
  /** Receives the notices for the user. */
  onNotice: (notice: Notice) => void;
  /** The sketch that is open from the first. */
  sketchId: string | null;
}

/** Gives the screens below it one plan session. */
export function PlanProvider({ children, onNotice, sketchId }: PlanProviderProps) {
  const [session] = useState(() => new PlanSession(sketchId));
  useEffect(() => {
    session.onNotice = onNotice;
    session.start();
  }, [session, onNotice]);
  return <SessionContext value={session}>{children}</SessionContext>;
}

/** The plan session of this window. */
export function usePlan(): PlanSession {
  const session = useContext(SessionContext);
  if (!session) throw new Error("usePlan belongs below a PlanProvider.");
  return session;
}

/** Something of what the host says of itself, null until the plan has been read; drawn again only where that has changed.
 * @param of What is wanted of it: a plain value, or a part of it as it is. */
export function useHost<T>(of: (state: HostState | null) => T): T {
  const session = usePlan();
  return useSyncExternalStore(
    session.subscribe,
    () => of(session.state()),
    () => of(null),
  );
}

/** True while something made here is not settled yet. */
export function useIsSaving(): boolean {
  const session = usePlan();
  return useSyncExternalStore(session.subscribe, session.isSaving, () => false);
}

/** The answer to a question, asked again with every change of plan or query. Until the first new answer it is the one
 * that came with the page, even for another query: screens check what they show against the query where it matters. */
export function useAnswer<Q extends Question>(question: Q, query: QueryOf<Q>, initial: Initial<AnswerOf<Q>>): AnswerOf<Q> {
  const answered = useAnswered(question, JSON.stringify(query), initial);
  return answered ? answered.data : dataOf(initial);
}

/** The same for a question that no answer came with; null until there is one, and where `query` is null. */
export function useMaybeAnswer<Q extends Question>(
  question: Q,
  query: QueryOf<Q> | null,
  initial: Initial<AnswerOf<Q>> | null,
): AnswerOf<Q> | null {
  const answered = useAnswered(question, query === null ? null : JSON.stringify(query), initial);
  if (query === null) return null;
  // Nothing is an answer too: what was asked about is no longer in the plan.
  return answered ? answered.data : initial && dataOf(initial);
}

/** The last answer to a question, which stays while the next one is awaited.
 * @returns The answer, null until there is one; and whether it belongs to this query. */
export function useLastAnswer<Q extends Question>(
  question: Q,
  query: QueryOf<Q> | null,
): { answer: AnswerOf<Q> | null; isCurrent: boolean } {
  const key = query === null ? null : JSON.stringify(query);
  const answered = useAnswered(question, key, null);
  return { answer: answered?.data ?? null, isCurrent: answered !== null && answered.key === key };
}

/** The answer to a question in this window; null until there is one, and while the answer that came with the page is still right.
 * A new version of the plan draws nothing by itself: only another answer does.
 * @param key The query as text; null asks nothing. */
function useAnswered<Q extends Question>(question: Q, key: string | null, initial: Initial<AnswerOf<Q>> | null) {
  const session = usePlan();
  // Another screen may have asked the same: what came with the page can be older than that.
  const [answered, setAnswered] = useState(() => {
    const known = key === null ? null : session.knownLast(question, key);
    return known && { data: known.data, key };
  });
  const first = useRef(initial);

  useEffect(() => {
    if (key === null) return;
    // Of two answers the one to the later version counts.
    let asked = 0;
    let isLeft = false;
    const ask = () => {
      const version = session.state()?.version ?? 0;
      if (version === asked) return;
      asked = version;
      const known = session.known(question, key);
      const came = first.current;
      const keep = (data: AnswerOf<Q>) => setAnswered((last) => (last && last.key === key && last.data === data ? last : { data, key }));
      if (known) keep(known.data);
      else if (came?.key === key && session.isStillAt(came)) setAnswered(null);
      else
        void session.askNow(question, key).then((data) => {
          if (!isLeft && asked === version) keep((session.known(question, key) ?? { data }).data);
        });
    };
    ask();
    const [stop, unwatch] = [session.subscribe(ask), session.watch(question, key)];
    return () => {
      isLeft = true;
      stop();
      unwatch();
    };
  }, [session, question, key]);

  // A page that came again from the server brings a newer first answer.
  first.current = initial;
  return answered;
}
