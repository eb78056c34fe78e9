"use client";
// The sign that a row wants attention, with the sentences of Today: they are asked for once for a whole screen.
import { createContext, type ReactNode, useContext, useMemo } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { Attention } from "../../core/signals/kinds.ts";
import { sentenceOf } from "./attentionWords.ts";
import { type About, aboutKey, aboutsOf, useSignals } from "./signalsOf.tsx";

type ByAbout = ReadonlyMap<string, readonly Redacted<Attention>[]>;

const none: ByAbout = new Map();
const Signals = createContext(none);

/** The subtree shows signs at its rows. */
export function WithSignals({ children }: { children: ReactNode }) {
  const signals = useSignals();
  const byAbout = useMemo(() => (signals ? grouped(signals) : none), [signals]);
  return <Signals value={byAbout}>{children}</Signals>;
}

function grouped(signals: readonly Redacted<Attention>[]): ByAbout {
  const groups = new Map<string, Redacted<Attention>[]>();
  for (const signal of signals)
    for (const about of aboutsOf(signal)) {
      const key = aboutKey(about);
      const known = groups.get(key);
      if (known) known.push(signal);
      else groups.set(key, [signal]);
    }
  return groups;
}

export function SignalSign(about: About) {
  const signals = useContext(Signals).get(aboutKey(about));
  return signals ? <SignalGlyph says={signals.map(sentenceOf).join(" ")} /> : null;
}

export function SignalGlyph({ says }: { says: string }) {
  return (
    // A title of the drawing would count as text of the cell it is in.
    <span role="img" aria-label={says} title={says} className="ml-1 inline-block shrink-0 align-baseline">
      <svg aria-hidden width="11" height="10" viewBox="0 0 11 10" className="block">
        <path d="M1.2 8.6 3 4.6M5.5 8.6V2.4M9.8 8.6 8 4.6" stroke="var(--ochre)" strokeWidth="1.8" strokeLinecap="round" fill="none" />
      </svg>
    </span>
  );
}
