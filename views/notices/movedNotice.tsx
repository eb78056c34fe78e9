// The dates that an edit moved, shown after it: the task, from when to when, the reason; and project finishes.

import type { UnplacedRise } from "../../core/placing/unplacedRises.ts";
import type { DriverKind } from "../../core/schedule/dates.ts";
import type { Moves, TaskMove } from "../../core/schedule/moves.ts";
import { countText, hoursText, shortDay } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { texts } from "./words.ts";

const MOST_LISTED = 4;

export function MovedNotice({ moves, typed }: { moves: Moves; typed: readonly UnplacedRise[] }) {
  return (
    <div role="status" aria-label={texts.movedDates} className="text-[13px]">
      <MovedLines moves={moves} most={MOST_LISTED} />
      {typed.length > 0 && <p className="pt-1 font-semibold text-over">{texts.typedHoursThatCannot}</p>}
      {typed.slice(0, MOST_LISTED).map(({ assignmentId, taskName, who, minutes }) => (
        <p key={assignmentId}>
          {taskName} · {who} <span className="text-ink-2">{hoursText(minutes)} h</span>
        </p>
      ))}
      {typed.length > MOST_LISTED && <p className="text-ink-2">and {typed.length - MOST_LISTED} more</p>}
    </div>
  );
}

/** Finishes of projects and dates of tasks that moved. @param most As many tasks are listed; null for all. */
export function MovedLines({ moves: { tasks, projects }, most }: { moves: Moves; most: number | null }) {
  const listed = most === null ? tasks : tasks.slice(0, most);
  return (
    <div className="text-[13px]">
      {projects.map(({ projectId, name, before, after }) => (
        <p key={projectId} className="font-semibold">
          {name} now finishes on {shortDay(after)}, {countText(Math.abs(after - before), "day")} {after > before ? "later" : "earlier"}
        </p>
      ))}
      {tasks.length > 0 && <p className="text-ink-2">{tasks.length === 1 ? texts.n1TaskMoves : `${tasks.length} tasks move`} with it:</p>}
      {listed.map((move) => (
        <p key={move.taskId}>
          {move.name} <span className="text-ink-2">{moveText(move)}</span>
        </p>
      ))}
      {tasks.length > listed.length && (
        <Link href="/changes" className="text-link">
          and {tasks.length - listed.length} more, in Changes
        </Link>
      )}
    </div>
  );
}

function moveText({ before, after, because }: TaskMove): string {
  const which = before.start === after.start ? "finish" : "start";
  return `${shortDay(before[which])} → ${shortDay(after[which])}, ${reasonText(because)}`;
}

const reasons: Record<DriverKind, string> = {
  link: "after its predecessor",
  pinned: "pinned",
  notBefore: "start no earlier than its date",
  finishNotBefore: "finish no earlier than its date",
  projectStart: "from the project’s start",
  stagger: "staggered",
  statusDate: "not started before the status date",
  actual: "as it was done",
};

function reasonText({ kind, fromName }: TaskMove["because"]): string {
  return kind === "link" && fromName !== null ? `because of ${fromName}` : reasons[kind];
}
