"use client";
// The signals about one person, task or project, where they are looked at: the words and the step of Today.
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import { useHasRested } from "../../client/useHasRested.ts";
import type { Attention } from "../../core/signals/kinds.ts";
import Link from "../../ui/link.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { useFrame } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { sentenceOf, stepOf } from "./attentionWords.ts";
import { texts } from "./words.ts";

export type About = { personId: string } | { taskId: string } | { projectId: string };

const MOST_SHOWN = 4;

export function SignalsOf(about: About) {
  const linkTo = useLinkTo();
  const own = useSignals()?.filter((signal) => aboutsOf(signal).some((own) => aboutKey(own) === aboutKey(about))) ?? [];
  if (own.length === 0) return null;
  return (
    <SheetSection title={texts.needsAttention}>
      <ul>
        {own.slice(0, MOST_SHOWN).map((signal) => {
          const { text, path, more } = stepOf(signal);
          return (
            <li key={signal.key} className="py-[3px]">
              {sentenceOf(signal)}{" "}
              {!isHere(about, more) && (
                <Link href={linkTo(path, more)} className="text-link">
                  {text}
                </Link>
              )}
            </li>
          );
        })}
      </ul>
    </SheetSection>
  );
}

/** The signals of Today; null until a page that was just opened has settled, and until they are worked out. */
export function useSignals(): readonly Redacted<Attention>[] | null {
  const { clock } = useFrame();
  const hasRested = useHasRested();
  return useMaybeAnswer("today", hasRested ? { clock } : null, null)?.signals ?? null;
}

/** True of a step that leads to the sheet one is in. */
const isHere = (about: About, more: Record<string, string>): boolean =>
  ("taskId" in about && more.task === about.taskId) || ("projectId" in about && more.task === "project");

/** The subject of a signal: of a project the signals that belong to none of its tasks; of a person and a task all that name them
 * first. */
export function aboutsOf({ kind, personId, taskId, projectId }: Redacted<Attention>): About[] {
  return [
    ...(personId !== undefined && kind !== "requestWaiting" ? [{ personId }] : []),
    ...(taskId !== undefined ? [{ taskId }] : projectId !== undefined ? [{ projectId }] : []),
  ];
}

export const aboutKey = (about: About): string => Object.entries(about).flat().join(" ");
