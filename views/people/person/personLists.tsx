"use client";
// The lists of a person's page below the strip: weeks, time off, overtime and assignments, each line opening its sheet.
import { AlertTriangle } from "lucide-react";
import type { ReactNode } from "react";
import type { PersonYear } from "../../../core/answers/personYear.ts";
import { parseDay } from "../../../core/calendar/day.ts";
import type { Person } from "../../../core/plan/schema.ts";
import { hoursText, hueOf, rangeText } from "../../../ui/format.ts";
import Link from "../../../ui/link.tsx";
import { useLinkTo } from "../../scope/windowed.ts";
import { spanText, timeOffKinds, timeOffStates, weekHoursText } from "../dayWords.ts";
import { WeekSign } from "../weekSign.tsx";
import { texts } from "../words.ts";
import type { PersonHook } from "./usePerson.ts";

const line = "flex w-full items-baseline gap-2 px-3 py-1.5 text-left";

function PressLine({ onPress, children }: { onPress: () => void; children: ReactNode }) {
  return (
    <button type="button" onClick={onPress} className={`${line} hover:bg-well`}>
      {children}
    </button>
  );
}

export function Weeks({ answer: { spans, calendarName, person }, hook }: { answer: PersonYear; hook: PersonHook }) {
  return spans.map(({ from, last, week, pattern }) => {
    const when = spanText({ from, last });
    const whole = (
      <>
        <span className="w-[92px] shrink-0">
          <WeekSign weeks={[week]} />
        </span>
        <span className="min-w-0 flex-1">
          {weekHoursText(week)} <span className="text-ink-2">{when}</span>
          {pattern === null && <span className="block text-side">as the calendar {calendarName}</span>}
        </span>
      </>
    );
    return pattern === null ? (
      <div key={when} className={line}>
        {whole}
      </div>
    ) : (
      <PressLine key={`${when} ${person.patterns?.[pattern].from}`} onPress={() => hook.show("week", String(pattern))}>
        {whole}
      </PressLine>
    );
  });
}

const rangeOf = ({ from, to }: { from: string; to: string }) => rangeText({ start: parseDay(from), stop: parseDay(to) + 1 });

const stateTone = { requested: "text-ochre-ink font-semibold", approved: "text-ink-2", declined: "text-ink-2 line-through" } as const;

export function TimeOffList({ person, hook }: { person: Person; hook: PersonHook }) {
  const entries = (person.timeOff ?? []).toSorted((a, b) => (a.from < b.from ? -1 : 1));
  if (entries.length === 0) return <p className="px-3 py-2 text-ink-2">{texts.noneSelectADayAbove}</p>;
  return entries.map((off) => (
    <PressLine key={off.id} onPress={() => hook.show("off", off.id)}>
      <span className="min-w-0 flex-1">
        {timeOffKinds[off.kind]} <span className="text-ink-2">{rangeOf(off)}</span>
        {off.hoursPerDay !== undefined && <span className="text-ink-2"> · {off.hoursPerDay} h a day</span>}
        {(off.note || off.reason) && (
          <span className="block truncate text-side">{[off.note, off.reason && `“${off.reason}”`].filter(Boolean).join(" · ")}</span>
        )}
        {off.suggested && <span className="block text-small text-ochre-ink">suggested: {rangeOf(off.suggested)}</span>}
      </span>
      <span className={`text-[13px] ${stateTone[off.state]}`}>{timeOffStates[off.state]}</span>
    </PressLine>
  ));
}

export function OvertimeList({ person, hook }: { person: Person; hook: PersonHook }) {
  const entries = person.overtime ?? [];
  if (entries.length === 0) return <p className="px-3 py-2 text-ink-2">{texts.none}</p>;
  return entries.map((entry) => (
    <PressLine key={entry.id} onPress={() => hook.show("overtime", entry.id)}>
      <span className="flex-1 text-ink-2">{rangeOf(entry)}</span>
      <span>{entry.hoursPerDay} h a day</span>
    </PressLine>
  ));
}

export function Assignments({ answer: { work, unplaceable }, hook }: { answer: PersonYear; hook: PersonHook }) {
  const linkTo = useLinkTo();
  if (work.length + unplaceable.length === 0) return <p className="px-3 py-2 text-ink-2">{texts.noWorkInThisYear}</p>;
  return (
    <>
      {unplaceable.map((entry) => (
        <PressLine key={entry.assignmentId} onPress={() => hook.show("unplaced", entry.assignmentId)}>
          <AlertTriangle size={13} className="shrink-0 self-center text-over" aria-hidden />
          <span className="min-w-0 flex-1 truncate">
            {entry.taskName} <span className="text-ink-2">{entry.projectName}</span>
          </span>
          <span className="font-semibold whitespace-nowrap text-over">{hoursText(entry.minutes)} h that cannot be worked</span>
        </PressLine>
      ))}
      {work.map((bar) => (
        <Link
          key={bar.assignmentId}
          href={linkTo(`/work/${encodeURIComponent(bar.projectId)}`, { task: bar.taskId })}
          className={`${line} hover:bg-well`}
        >
          <span className="size-[10px] shrink-0 self-center rounded-[2px]" style={{ background: hueOf(bar.projectRow) }} />
          <span className="min-w-0 flex-1 truncate" title={`${bar.projectName} · ${bar.taskName}`}>
            {bar.taskName} <span className="text-side">{bar.projectCode}</span>
          </span>
          <span className="whitespace-nowrap text-side">{rangeText({ start: bar.start, stop: bar.stop })}</span>
          <span className="w-[58px] text-right whitespace-nowrap">{hoursText(bar.minutes)} h</span>
        </Link>
      ))}
    </>
  );
}

/** Comments that call upon the person, or upon a team of theirs. */
export function Mentions({ answer }: { answer: PersonYear }) {
  const linkTo = useLinkTo();
  return answer.mentions.map(({ comment, taskName, projectId }) => (
    <Link
      key={comment.id}
      href={linkTo(`/work/${encodeURIComponent(projectId)}`, { task: comment.taskId })}
      className="block line-above px-3 py-1.5 first:border-t-0 hover:bg-well"
    >
      <span className="text-side">
        {comment.author} on {taskName}
      </span>
      <span className="line-clamp-2 whitespace-pre-wrap">{comment.text}</span>
    </Link>
  ));
}
