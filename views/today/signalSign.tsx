"use client";
// The sign that a row wants attention, with the sentences of Today: they are asked for once for a whole screen.
import { createContext, type ReactNode, useContext, useMemo } from "react";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { Attention } from "../../core/attention/kinds.ts";
import { useFrame } from "../frame/facts.ts";
import { sentenceOf } from "./attentionWords.ts";
import { type About, isAbout } from "./signalsOf.tsx";

const Signals = createContext<readonly Attention[]>([]);

/** What stands under it shows signs at its rows. */
export function WithSignals({ children }: { children: ReactNode }) {
  const { clock } = useFrame();
  const today = useMaybeAnswer("today", { clock }, null);
  return <Signals value={today?.signals ?? none}>{children}</Signals>;
}

const none: readonly Attention[] = [];

export function SignalSign(about: About) {
  const signals = useContext(Signals);
  const key = JSON.stringify(about);
  const says = useMemo(
    () => signals.flatMap((signal) => (isAbout(signal, JSON.parse(key)) ? sentenceOf(signal) : [])).join(" "),
    [signals, key],
  );
  if (says === "") return null;
  return <SignalGlyph says={says} />;
}

export function SignalGlyph({ says }: { says: string }) {
  return (
    // A title of the drawing would count as text of the cell it stands in.
    <span role="img" aria-label={says} title={says} className="ml-1 inline-block shrink-0 align-baseline">
      <svg aria-hidden width="11" height="10" viewBox="0 0 11 10" className="block">
        <path d="M1.2 8.6 3 4.6M5.5 8.6V2.4M9.8 8.6 8 4.6" stroke="var(--ochre)" strokeWidth="1.8" strokeLinecap="round" fill="none" />
      </svg>
    </span>
  );
}
