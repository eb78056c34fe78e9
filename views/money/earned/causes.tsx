"use client";
// The causes of a deviation: the steps since the baseline that moved the row, with who made them and when.
import { useEffect, useState } from "react";
import type { CausesAnswer } from "../../../client/messages.ts";
import { TextButton } from "../../../ui/button.tsx";
import { dateTimeText } from "../../../ui/format.ts";
import { SheetSection } from "../../../ui/sheet.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { daysText, moreHours, moreMoney } from "./earnedWords.ts";
import { texts } from "./words.ts";

interface Props {
  baselineId: string;
  projectId: string;
  taskId: string | null;
}

const undoWords: Partial<Record<CausesAnswer["causes"][number]["kind"], string>> = { undo: "Undone: ", redo: "Redone: " };

/** Causes that are listed at first. */
const FIRST_CAUSES = 8;

/** Asks the server, which has the trail. @returns The answer, a fault in words, or null while it is awaited. */
function useCauses({ baselineId, projectId, taskId }: Props): CausesAnswer | string | null {
  const [answer, setAnswer] = useState<CausesAnswer | string | null>(null);
  useEffect(() => {
    const query = new URLSearchParams({ baseline: baselineId, project: projectId, ...(taskId !== null && { task: taskId }) });
    const ended = new AbortController();
    fetch(`/api/changes/causes?${query}`, { signal: ended.signal })
      .then(async (response) => {
        const read: CausesAnswer & { message?: string } = await response.json();
        setAnswer(response.ok ? read : (read.message ?? texts.noAnswer));
      })
      .catch(() => ended.signal.aborted || setAnswer(texts.noAnswer));
    return () => ended.abort();
  }, [baselineId, projectId, taskId]);
  return answer;
}

export function Causes(props: Props) {
  const { currency } = usePlanFacts();
  const answer = useCauses(props);
  const [isAll, setAll] = useState(false);
  if (answer === null) return <CauseSection says={texts.lookingForCauses} />;
  if (typeof answer === "string") return <CauseSection says={answer} />;
  const { causes } = answer;
  if (causes.length === 0) return <CauseSection says={texts.nothingMovedIt} />;
  const listed = isAll ? causes : causes.slice(0, FIRST_CAUSES);
  return (
    <SheetSection title={texts.causes}>
      <ul aria-label={texts.causes}>
        {listed.map((cause) => (
          <li key={cause.revision} className="line-above py-1.5 first:border-t-0">
            <p className="first-letter:uppercase">
              {undoWords[cause.kind]}
              {cause.words}
            </p>
            <p>{partOf(cause, currency)}</p>
            <p className="text-side">
              {cause.by}, {dateTimeText(cause.at)}
            </p>
          </li>
        ))}
      </ul>
      {causes.length > listed.length && <TextButton onClick={() => setAll(true)}>Show all {causes.length}</TextButton>}
      {!answer.isAll && <p className="text-side">{texts.olderStepsAreLeftOut}</p>}
    </SheetSection>
  );
}

const CauseSection = ({ says }: { says: string }) => (
  <SheetSection title={texts.causes}>
    <p className="text-side">{says}</p>
  </SheetSection>
);

/** The part of a step in one line; a finish says more than a start that moved as far. */
function partOf({ startDays, finishDays, workMinutes, cost }: CausesAnswer["causes"][number], currency: string): string {
  const [start, finish] = [daysText(startDays), daysText(finishDays)];
  const parts = [
    start && startDays !== finishDays && `start ${start}`,
    finish && `finish ${finish}`,
    moreHours(workMinutes),
    cost !== 0 && `${currency} ${moreMoney(cost)}`,
  ];
  return parts.filter(Boolean).join(" · ");
}
