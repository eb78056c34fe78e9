"use client";
// The signals by what they are about, each group worst first; the group with the worst one is first.
import type { Redacted } from "../../client/seen.ts";
import type { Today } from "../../core/answers/today.ts";
import { type Attention, type AttentionGroup, attentionKinds } from "../../core/signals/kinds.ts";
import { buttonLook, TextButton } from "../../ui/button.tsx";
import { wholeText } from "../../ui/format.ts";
import { useKeys } from "../../ui/keys.ts";
import Link from "../../ui/link.tsx";
import { useLinkTo } from "../scope/windowed.ts";
import { detailOf, figureOf, groupWords, sentenceOf, stepOf } from "./attentionWords.ts";
import { texts } from "./words.ts";

interface Props {
  today: Redacted<Today>;
  openKey: string | null;
  onSnooze: (key: string) => void;
  onHand: (key: string) => void;
  /** Lists the signals that are left out as well. */
  onWhole: () => void;
}

export function SignalList({ today: { signals, counts }, openKey, onSnooze, onHand, onWhole }: Props) {
  useSignalKeys({ onSnooze, onHand });
  // Signals come worst first, so the groups are in the order of their worst.
  const groups = [...new Set(signals.map(groupOf))];
  return (
    <div className="min-h-0 min-w-0 flex-1 overflow-y-auto box-open">
      {groups.map((group) => {
        const own = signals.filter((signal) => groupOf(signal) === group);
        const all = own.length + hidden(own, counts);
        return (
          <section key={group} aria-label={groupWords[group]}>
            <h2 className="signal-group">
              {groupWords[group]} <span className="text-side not-italic">{wholeText(all)}</span>
            </h2>
            <ul>
              {own.map((signal) => (
                <SignalLine
                  key={signal.key}
                  signal={signal}
                  isOpen={signal.key === openKey}
                  onSnooze={() => onSnooze(signal.key)}
                  onHand={() => onHand(signal.key)}
                />
              ))}
            </ul>
            {all > own.length && (
              <p className="px-4 py-2 text-side">
                <TextButton onClick={onWhole}>Show {wholeText(all - own.length)} more of the same kinds</TextButton>
              </p>
            )}
          </section>
        );
      })}
    </div>
  );
}

export const groupOf = ({ kind }: Redacted<Attention>): AttentionGroup => attentionKinds[kind].about;

/** Number of signals of the listed kinds that are not listed. */
function hidden(listed: readonly Redacted<Attention>[], counts: Today["counts"]): number {
  const kinds = [...new Set(listed.map(({ kind }) => kind))];
  return kinds.reduce((sum, kind) => sum + (counts[kind] ?? 0), 0) - listed.length;
}

interface LineProps {
  signal: Redacted<Attention>;
  isOpen: boolean;
  onSnooze: () => void;
  onHand: () => void;
}

/** One line: the sentence, its figure and its step. What else can be done shows on hover and focus, and has keys. */
function SignalLine({ signal, isOpen, onSnooze, onHand }: LineProps) {
  const linkTo = useLinkTo();
  const { text, path, more } = stepOf(signal);
  const sentence = sentenceOf(signal);
  return (
    <li className="signal-line" data-open={isOpen} data-signal={signal.key}>
      <p className="min-w-0 flex-1 truncate" title={[sentence, detailOf(signal)].filter(Boolean).join("\n")}>
        {sentence}
      </p>
      <span className="signal-more">
        <TextButton onClick={onSnooze} aria-label={`Snooze: ${sentence}`} aria-keyshortcuts="s">
          {texts.snooze}
        </TextButton>
        <TextButton onClick={onHand} aria-label={`Send to a colleague: ${sentence}`} aria-keyshortcuts="h">
          {texts.send}
        </TextButton>
      </span>
      <span className="w-[72px] shrink-0 text-right font-semibold text-over">{figureOf(signal)}</span>
      <Link href={linkTo(path, more)} className={`${buttonLook()} w-[120px] shrink-0`} data-step aria-label={`${text}: ${sentence}`}>
        {text}
      </Link>
    </li>
  );
}

/** The signal that has the focus. */
const focusedLine = (): HTMLElement | null => document.activeElement?.closest<HTMLElement>(".signal-line") ?? null;

/** Moves the focus to the step of the signal before or after, in any group it is; to the first one where none has it. */
function stepFocus(by: 1 | -1): void {
  const steps = [...document.querySelectorAll<HTMLElement>(".signal-line [data-step]")];
  const line = focusedLine();
  const at = line ? steps.findIndex((own) => line.contains(own)) : -1;
  (line ? steps[at + by] : steps[0])?.focus();
}

/** Keys of the signal in focus. */
function useSignalKeys({ onSnooze, onHand }: Pick<Props, "onSnooze" | "onHand">): void {
  const onFocused = (act: (key: string) => void) => () => {
    const key = focusedLine()?.dataset.signal;
    if (key !== undefined) act(key);
  };
  useKeys({ s: onFocused(onSnooze), h: onFocused(onHand), arrowdown: () => stepFocus(1), arrowup: () => stepFocus(-1) });
}
