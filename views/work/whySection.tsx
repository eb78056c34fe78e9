"use client";
// The explanation of a task's dates: every bound with its date, the deciding one first; conflicts, with options.
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { OutlineTask } from "../../core/answers/outline.ts";
import type { Why, WhyBound } from "../../core/answers/why.ts";
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import type { Task } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { countText, hoursText, shortDay } from "../../ui/format.ts";
import { SheetSection } from "../../ui/sheet.tsx";
import { conflictText } from "../effect/conflictText.ts";
import type { Setting } from "./useTaskEdits.ts";
import { texts } from "./words.ts";

/** Null for a task without dates of its own, and until it is known. */
export function useWhy({ task, dates, isSummary }: Redacted<OutlineTask>, initial: Initial<AnswerOf<"why">> | null): Why | null {
  const why = useMaybeAnswer("why", dates === null || isSummary ? null : { taskId: task.id }, initial);
  return why?.taskId === task.id ? why : null;
}

interface WhyProps {
  entry: Redacted<OutlineTask>;
  why: Why;
  onChange: (set: Setting<Task>) => void;
}

export function WhySection({ entry, why, onChange }: WhyProps) {
  return (
    <SheetSection title={`Why it starts on ${shortDay(why.start)}`}>
      <ul>
        {why.bounds.map((bound) => (
          <li
            key={`${bound.kind} ${bound.link?.id ?? ""} ${bound.start}`}
            className={`flex justify-between gap-3 py-[3px] ${bound.isDeciding ? "font-medium text-pine" : "text-ink-2"}`}
          >
            <span className="min-w-0">{boundText(bound)}</span>
            <span className="whitespace-nowrap">{bound.finish === null ? shortDay(bound.start) : `ends ${shortDay(bound.finish)}`}</span>
          </li>
        ))}
      </ul>
      {why.driver !== "pinned" && <p className="pt-1 text-[13px] text-ink-2">{earlierText(why)}</p>}
      {why.stretches.map(({ personName, days, minutes }) => (
        <p key={personName} className="pt-1 text-[13px] text-ochre-ink">
          {personName} gives {hoursText(minutes)} h less on {countText(days, "day")} of these days: away, or not working full days.
        </p>
      ))}
      <Ways entry={entry} why={why} onChange={onChange} />
      <SlackLine entry={entry} />
    </SheetSection>
  );
}

function boundText({ kind, link }: WhyBound): string {
  switch (kind) {
    case "pinned":
      return "Pinned to its dates by hand";
    case "stagger":
      return "Delay";
    case "notBefore":
      return "Start no earlier than this date";
    case "finishNotBefore":
      return "Finish no earlier than this date";
    case "projectStart":
      return "The project starts";
    case "statusDate":
      return "Not started, so not before the status date";
    case "actual":
      return "As it was done";
    case "link":
      return link
        ? `${linkWords[link.kind]} ${link.fromName}${lagText(link)}${link.fromProject ? ` (${link.fromProject})` : ""}`
        : "A link";
  }
}

const linkWords = { FS: "After", SS: "With the start of", FF: "To end with", SF: "To end after the start of" } as const;

function lagText({ lagDays, elapsed }: NonNullable<WhyBound["link"]>): string {
  if (lagDays === 0) return "";
  return ` ${lagDays > 0 ? "+" : "−"} ${countText(Math.abs(lagDays), elapsed ? "calendar day" : "day")}`;
}

/** The change that an earlier start needs, as calculated by trying it. */
function earlierText({ bounds, without, withoutLag, start }: Why): string {
  const [first] = bounds;
  if (first?.kind === "projectStart") return "Earlier only if the project starts earlier.";
  if (without === null) return "";
  const what = first?.kind === "link" ? "this link" : first?.kind === "stagger" ? "the delay" : "this";
  if (without >= start) return `Without ${what} it would start on the same day, because the reasons below apply, too.`;
  const lag = withoutLag !== null && withoutLag < start ? `, without its lag on ${shortDay(withoutLag)}` : "";
  return `Without ${what} it would start on ${shortDay(without)}${lag}.`;
}

function Ways({
  entry: { task, conflicts },
  why,
  onChange,
}: {
  entry: Redacted<OutlineTask>;
  why: Why;
  onChange: (set: Setting<Task>) => void;
}) {
  return (
    <>
      {conflicts.map((conflict) => (
        <p key={`${conflict.kind} ${conflict.linkId ?? ""}`} role="alert" className="pt-1.5 font-medium text-over">
          {conflictText(conflict)}
        </p>
      ))}
      <div className="flex flex-wrap gap-2 pt-2 empty:hidden">
        {why.driver === "stagger" && <Button onClick={() => onChange({ staggerDays: null })}>{texts.removeTheDelay}</Button>}
        {task.notBefore !== undefined && why.driver === "notBefore" && (
          <Button onClick={() => onChange({ notBefore: null })}>{texts.removeStartNoEarlierThan}</Button>
        )}
        {why.driver === "pinned" && (
          <Button
            onClick={() => onChange({ sizing: "duration", durationDays: workingDays(why), start: null, finish: null })}
            title={texts.itKeepsItsLength}
          >
            {texts.followTheLinksInstead}
          </Button>
        )}
      </div>
    </>
  );
}

const workingDays = ({ duration }: Why) => Math.round((duration / TICKS_PER_DAY) * 100) / 100;

function SlackLine({ entry: { slack } }: { entry: Redacted<OutlineTask> }) {
  if (!slack) return null;
  const days = (ticks: number) => countText(Math.round((ticks / TICKS_PER_DAY) * 10) / 10, "day");
  return (
    <p className="pt-2 text-[13px] text-ink-2">
      {slack.total > 0 ? (
        <>
          {days(slack.total)} of slack, until {shortDay(slack.lateFinish)}
          {slack.free < slack.total && `; ${days(slack.free)} before others move`}
        </>
      ) : slack.total === 0 ? (
        <span className="font-medium text-ink">{texts.criticalAnyDelayMoves}</span>
      ) : (
        <span className="font-medium text-over">Critical: {days(-slack.total)} late already.</span>
      )}
    </p>
  );
}
