"use client";
// The signals by what they are about, each group worst first; the group with the worst one stands first.
import type { Today } from "../../core/answers/today.ts";
import { type Attention, type AttentionGroup, attentionKinds } from "../../core/attention/kinds.ts";
import { buttonLook, TextButton } from "../../ui/button.tsx";
import { wholeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { useLinkTo } from "../frame/windowed.ts";
import { figureOf, groupWords, sentenceOf, stepOf } from "./attentionWords.ts";

interface Props {
  today: Today;
  openKey: string | null;
  onSnooze: (key: string) => void;
  onHand: (key: string) => void;
}

export function SignalList({ today: { signals, counts }, openKey, onSnooze, onHand }: Props) {
  // Signals come worst first, so the groups stand in the order of their worst.
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
            {all > own.length && <p className="px-4 py-2 text-side">and {wholeText(all - own.length)} more of the same kinds</p>}
          </section>
        );
      })}
    </div>
  );
}

const groupOf = ({ kind }: Attention): AttentionGroup => attentionKinds[kind].about;

/** How many of the kinds listed are not. */
function hidden(listed: readonly Attention[], counts: Today["counts"]): number {
  const kinds = [...new Set(listed.map(({ kind }) => kind))];
  return kinds.reduce((sum, kind) => sum + (counts[kind] ?? 0), 0) - listed.length;
}

interface LineProps {
  signal: Attention;
  isOpen: boolean;
  onSnooze: () => void;
  onHand: () => void;
}

function SignalLine({ signal, isOpen, onSnooze, onHand }: LineProps) {
  const linkTo = useLinkTo();
  const { text, path, more } = stepOf(signal);
  const sentence = sentenceOf(signal);
  return (
    <li className="signal-line" data-open={isOpen}>
      <p className="min-w-0 flex-1">
        {sentence}
        <span className="flex gap-3 pt-0.5 text-side">
          <TextButton onClick={onSnooze} aria-label={`Snooze: ${sentence}`}>
            Snooze
          </TextButton>
          <TextButton onClick={onHand} aria-label={`Hand to a colleague: ${sentence}`}>
            Hand to a colleague
          </TextButton>
        </span>
      </p>
      <span className="w-[84px] shrink-0 text-right font-semibold text-over">{figureOf(signal)}</span>
      <Link href={linkTo(path, more)} className={`${buttonLook()} w-[146px] shrink-0`} aria-label={`${text}: ${sentence}`}>
        {text}
      </Link>
    </li>
  );
}
