"use client";
// The options for a problem, best first: each with its effect, a preview and a way to apply it.
import { useEffect, useRef, useState } from "react";
import type { RemedyProblem } from "../../client/searches.ts";
import type { Redacted } from "../../client/seen.ts";
import { useHost, useMaybeAnswer } from "../../client/session.tsx";
import type { RemedyLine } from "../../core/answers/remedyLines.ts";
import { Button, TextButton } from "../../ui/button.tsx";
import { countText, shortDay } from "../../ui/format.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useTry } from "../scope/useTry.ts";
import { effectPhrases, gainOf, nothingWords, remedyEdit, remedyText } from "./remedyWords.ts";
import { type Remedies, useRemedies } from "./useRemedies.ts";
import { texts } from "./words.ts";

export interface RemedyActions {
  /** The line whose preview the screen shows; without these there is no preview. */
  previewed?: Redacted<RemedyLine> | null;
  onPreview?: (line: Redacted<RemedyLine> | null) => void;
  onApply: (line: Redacted<RemedyLine>) => void;
}

interface ListProps extends RemedyActions {
  problem: RemedyProblem;
  /** A search for it that is already running; else the list searches itself. */
  begun?: Remedies | null;
  /** A key has led here: the list takes the focus, and says that it has. */
  isSought?: boolean;
  onFound?: () => void;
}

const FIRST_SHOWN = 6;
const MOST_MOVED = 3;

const titles: Partial<Record<RemedyProblem["about"], string>> = { idle: "Work they could take", margin: "Options to improve it" };

export function RemedyList({ problem, begun, isSought = false, onFound, ...actions }: ListProps) {
  const own = useRemedies(begun === undefined ? problem : null);
  // The running search may still belong to the former subject.
  const found = begun === undefined ? own : begun;
  const remedies = found?.asked === JSON.stringify(problem) ? found : null;
  const list = useRef<HTMLDivElement>(null);
  const [isWhole, setWhole] = useState(false);
  useEffect(() => {
    if (!isSought) return;
    list.current?.focus();
    onFound?.();
  }, [isSought, onFound]);
  const { about } = problem;
  const lines = (remedies?.lines ?? []).filter((line) => !isAskedElsewhere(line, about));
  const shown = isWhole ? lines : variedFirst(lines).slice(0, FIRST_SHOWN);
  return (
    <div ref={list} tabIndex={-1}>
      <SheetSection title={titles[about] ?? "Options"}>
        <div role="status" className="text-side">
          {!remedies?.isDone
            ? `${countText(remedies?.tried ?? 0, "option")} tried so far…`
            : lines.length === 0
              ? nothingWords[about]
              : `${countText(remedies.tried, "option")} tried on the whole plan`}
        </div>
        <ul aria-label={texts.remedies}>
          {shown.map((line) => (
            <RemedyItem key={keyOf(line)} line={line} about={about} {...actions} />
          ))}
        </ul>
        {lines.length > FIRST_SHOWN && (
          <p className="pt-2">
            <TextButton onClick={() => setWhole(!isWhole)}>{isWhole ? texts.showFewer : `Show all ${lines.length}`}</TextButton>
          </p>
        )}
      </SheetSection>
    </div>
  );
}

/** Remedies with their own button or form next to the list: accepting, and a plain yes or no to leave. */
function isAskedElsewhere({ kind, steps: [first, ...more] }: Redacted<RemedyLine>, about: RemedyProblem["about"]): boolean {
  const isPlainAnswer = more.length === 0 && (first.answer === "approved" || first.answer === "declined");
  return kind === "accept" || (about === "leave" && isPlainAnswer);
}

const keyOf = ({ edits }: Redacted<RemedyLine>): string => JSON.stringify(edits);

/** The best of each kind before the second of any: a few lines show what there is to choose from. */
function variedFirst(lines: readonly Redacted<RemedyLine>[]): Redacted<RemedyLine>[] {
  const kindOf = ({ kind, steps }: Redacted<RemedyLine>) => (steps.length > 1 ? "together" : kind);
  const firsts = lines.filter((line, at) => lines.findIndex((own) => kindOf(own) === kindOf(line)) === at);
  return [...firsts, ...lines.filter((line) => !firsts.includes(line))];
}

/** The further effects of a remedy, with bad ones marked. */
function Effect({ effect, steps }: Pick<Redacted<RemedyLine>, "effect" | "steps">) {
  const { currency } = usePlanFacts();
  return (
    <p className="text-side">
      {effectPhrases(effect, currency, steps).map(({ text, isBad }, at) => (
        <span key={text}>
          {at > 0 && " · "}
          <span className={isBad ? "text-over" : ""}>{text}</span>
        </span>
      ))}
    </p>
  );
}

const movesDates: ReadonlySet<Redacted<RemedyLine>["kind"]> = new Set(["delay", "postpone", "spread", "lighten"]);

/** The other tasks whose finish changes, before it is applied. */
function Moved({ line }: { line: Redacted<RemedyLine> }) {
  const impact = useMaybeAnswer("impact", movesDates.has(line.kind) ? { edit: remedyEdit(line) } : null, null);
  const others = (impact?.finishes ?? []).filter(({ kind, id }) => kind === "task" && !line.taskIds.includes(id));
  if (others.length === 0) return null;
  return (
    <p className="text-side">
      Also moves{" "}
      {others
        .slice(0, MOST_MOVED)
        .map(({ name, after }) => `${name} to ${shortDay(after)}`)
        .join(", ")}
      {others.length > MOST_MOVED && ` and ${countText(others.length - MOST_MOVED, "more task")}`}
    </p>
  );
}

type ItemProps = { line: Redacted<RemedyLine>; about: RemedyProblem["about"] } & RemedyActions;

function RemedyItem({ line, about, previewed, onPreview, onApply }: ItemProps) {
  const tryIt = useTry();
  // While a sketch is open, applying is trying.
  const isSketching = useHost((state) => state?.sketchId != null);
  const isPreviewed = previewed != null && keyOf(previewed) === keyOf(line);
  const { effect, agree, steps } = line;
  const projects = [...new Set(steps.flatMap(({ projectName }) => projectName ?? []))];
  const { main, side } = gainOf(line, about);
  return (
    <li className={`line-above py-2 first:border-t-0 ${isPreviewed ? "remedy-previewed" : ""}`}>
      <p>
        {remedyText(line, about === "idle" || about === "margin")}{" "}
        {projects.length > 0 && <span className="text-side">{projects.join(", ")}</span>}
      </p>
      {main !== "" && (
        <p>
          <span className="font-semibold">{main}</span>
          <span className="text-side">{side}</span>
        </p>
      )}
      <Effect effect={about === "unplaced" ? { ...effect, unplaced: 0 } : effect} steps={steps} />
      <Moved line={line} />
      {agree.length > 0 && <p className="text-side">Needs approval from: {agree.join(", ")}</p>}
      <div className="flex gap-2 pt-1.5">
        {onPreview && (
          <Button aria-pressed={isPreviewed} onClick={() => onPreview(isPreviewed ? null : line)}>
            {isPreviewed ? texts.endThePreview : texts.preview}
          </Button>
        )}
        <Button look={isPreviewed ? "main" : "plain"} onClick={() => onApply(line)}>
          {texts.apply}
        </Button>
        {!isSketching && (
          <TextButton onClick={() => void tryIt(remedyEdit(line), remedyText(line, true).slice(0, 200))}>{texts.tryInASketch}</TextButton>
        )}
      </div>
    </li>
  );
}
