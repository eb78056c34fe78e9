"use client";
// What could be done about an overload, best first: each with what it comes to, a preview and a way to apply it.
import { useEffect, useRef, useState } from "react";
import type { RemedyLine } from "../../core/answers/remedyLines.ts";
import { Button, TextButton } from "../../ui/button.tsx";
import { countText, hoursText } from "../../ui/format.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import { effectPhrases, remedyText } from "./remedyWords.ts";
import type { Remedies } from "./useRemedies.ts";

export interface RemedyActions {
  previewed: RemedyLine | null;
  onPreview: (line: RemedyLine | null) => void;
  onApply: (line: RemedyLine) => void;
}

const FIRST_SHOWN = 6;

interface ListProps extends RemedyActions {
  remedies: Remedies | null;
  /** The person has room: what they could take is listed, by the hours it comes to. */
  isIdle?: boolean;
  /** A key has led here: the list takes the focus, and says that it has. */
  isSought: boolean;
  onFound: () => void;
}

export function RemedyList({ remedies, isIdle = false, isSought, onFound, ...actions }: ListProps) {
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!isSought) return;
    list.current?.focus();
    onFound();
  }, [isSought, onFound]);
  const [isWhole, setWhole] = useState(false);
  // Accepting has a form of its own below: it asks for the reason.
  const lines = (remedies?.lines ?? []).filter(({ kind }) => kind !== "accept");
  const shown = isWhole ? lines : variedFirst(lines).slice(0, FIRST_SHOWN);
  return (
    <div ref={list} tabIndex={-1}>
      <SheetSection title={isIdle ? "What they could take" : "What could be done"}>
        <div role="status" className="text-side">
          {!remedies?.isDone
            ? `${countText(remedies?.tried ?? 0, "way")} tried so far…`
            : lines.length === 0
              ? nothingWords(isIdle)
              : `${countText(remedies.tried, "way")} tried on the whole plan`}
        </div>
        <ul aria-label="Remedies">
          {shown.map((line) => (
            <RemedyItem key={keyOf(line)} line={line} isIdle={isIdle} {...actions} />
          ))}
        </ul>
        {lines.length > FIRST_SHOWN && (
          <p className="pt-2">
            <TextButton onClick={() => setWhole(!isWhole)}>{isWhole ? "Show fewer" : `Show all ${lines.length}`}</TextButton>
          </p>
        )}
      </SheetSection>
    </div>
  );
}

const nothingWords = (isIdle: boolean): string =>
  isIdle
    ? "Nothing fits: no opening of their role and skills lies in these days, and nobody who could give them work is over."
    : "Nothing that was tried takes anything off. It can be accepted, or the work itself made smaller.";

const keyOf = ({ edits }: RemedyLine): string => JSON.stringify(edits);

/** The best of each kind before the second of any: a few lines show what there is to choose from. */
function variedFirst(lines: readonly RemedyLine[]): RemedyLine[] {
  const kindOf = ({ kind, steps }: RemedyLine) => (steps.length > 1 ? "together" : kind);
  const firsts = lines.filter((line, at) => lines.findIndex((own) => kindOf(own) === kindOf(line)) === at);
  return [...firsts, ...lines.filter((line) => !firsts.includes(line))];
}

function RemedyItem({ line, isIdle, previewed, onPreview, onApply }: { line: RemedyLine; isIdle: boolean } & RemedyActions) {
  const { currency } = usePlanFacts();
  const isPreviewed = previewed !== null && keyOf(previewed) === keyOf(line);
  const { effect, left, agree, steps } = line;
  const projects = [...new Set(steps.flatMap(({ projectName }) => projectName ?? []))];
  return (
    <li className={`line-above py-2 first:border-t-0 ${isPreviewed ? "remedy-previewed" : ""}`}>
      <p>
        {remedyText(line, isIdle)} {projects.length > 0 && <span className="text-side">{projects.join(", ")}</span>}
      </p>
      {isIdle ? (
        effect.peakOver < 0 && <p className="font-semibold">Takes {hoursText(-effect.peakOver)} h off what is over</p>
      ) : (
        <p>
          <span className="font-semibold">{effect.peakOver < 0 ? `Takes ${hoursText(-effect.peakOver)} h off` : "Takes nothing off"}</span>
          <span className="text-side">{left === 0 ? ", none left over here" : `, ${hoursText(left)} h left over here`}</span>
        </p>
      )}
      <p className="text-side">
        {effectPhrases(effect, currency).map(({ text, isBad }, at) => (
          <span key={text}>
            {at > 0 && " · "}
            <span className={isBad ? "text-over" : ""}>{text}</span>
          </span>
        ))}
      </p>
      {agree.length > 0 && <p className="text-side">To agree: {agree.join(", ")}</p>}
      <div className="flex gap-2 pt-1.5">
        <Button aria-pressed={isPreviewed} onClick={() => onPreview(isPreviewed ? null : line)}>
          {isPreviewed ? "End the preview" : "Preview"}
        </Button>
        <Button look={isPreviewed ? "main" : "plain"} onClick={() => onApply(line)}>
          Apply
        </Button>
      </div>
    </li>
  );
}
