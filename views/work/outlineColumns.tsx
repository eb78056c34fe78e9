"use client";
// The columns of a project's outline that can be shown or left out: their width, heading and what stands in them.
import type { ReactNode } from "react";
import type { OutlineTask } from "../../core/answers/outline.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import { Avatar, OpenSign } from "../../ui/avatar.tsx";
import { hoursText, shortDay } from "../../ui/format.ts";

export const outlineColumns = [
  "role",
  "who",
  "hours",
  "open",
  "days",
  "dates",
  "progress",
  "slack",
  "deadline",
  "priority",
  "tags",
] as const;
export type OutlineColumn = (typeof outlineColumns)[number];

export const usualColumns: OutlineColumn[] = ["role", "who", "hours", "dates"];

export const columnWords: Record<OutlineColumn, string> = {
  role: "Role",
  who: "Who",
  hours: "Hours",
  open: "Open, h",
  days: "Days",
  dates: "Dates",
  progress: "Done",
  slack: "Slack",
  deadline: "Deadline",
  priority: "Priority",
  tags: "Tags",
};

const widths: Record<OutlineColumn, string> = {
  role: "minmax(138px,0.6fr)",
  who: "84px",
  hours: "62px",
  open: "62px",
  days: "54px",
  dates: "124px",
  progress: "54px",
  slack: "60px",
  deadline: "76px",
  priority: "64px",
  tags: "minmax(80px,0.6fr)",
};

const figures: ReadonlySet<OutlineColumn> = new Set(["hours", "open", "days", "progress", "slack", "priority"]);

/** The grid of a row: tick, name, the columns, the chart. */
export function gridOf(columns: readonly OutlineColumn[]): string {
  return `30px minmax(180px,1.3fr) ${columns.map((column) => widths[column]).join(" ")} minmax(160px,2fr)`;
}

export function ColumnHead({ column }: { column: OutlineColumn }) {
  return <span className={`truncate px-2 pt-2 text-ink-2 ${figures.has(column) ? "text-right" : ""}`}>{columnWords[column]}</span>;
}

export function ColumnCell({ column, entry }: { column: OutlineColumn; entry: OutlineTask }) {
  const cell = cells[column](entry);
  return (
    <span
      data-column={column}
      title={cell.title}
      className={`truncate px-2 text-[13px] ${figures.has(column) ? "text-right" : ""} ${cell.isOver ? "font-semibold text-over" : ""}`}
    >
      {cell.shown}
    </span>
  );
}

interface Cell {
  shown: ReactNode;
  title?: string;
  isOver?: boolean;
}

const days = (ticks: number) => String(Math.round((ticks / TICKS_PER_DAY) * 10) / 10);

const cells: Record<OutlineColumn, (entry: OutlineTask) => Cell> = {
  role: ({ isSummary, progress, roleName }) => ({
    shown: <span className="text-ink-2">{isSummary ? (progress > 0 ? `${progress}% done` : "") : (roleName ?? "")}</span>,
  }),
  who: (entry) => ({ shown: <Who entry={entry} /> }),
  hours: ({ asked, open, unplaced, isSummary }) => ({
    shown: asked > 0 ? hoursText(asked) : "",
    isOver: (open > 0 || unplaced > 0) && !isSummary,
    title: unplaced > 0 && !isSummary ? `${hoursText(unplaced)} h cannot be worked then` : undefined,
  }),
  open: ({ open }) => ({ shown: open > 0 ? hoursText(open) : "", isOver: open > 0 }),
  days: ({ task, isSummary }) => ({ shown: isSummary || task.sizing !== "duration" ? "" : (task.durationDays ?? "") }),
  dates: ({ dates, conflicts }) => ({
    shown: dates ? (
      <>
        {dates.isPinned && <Pin />}
        {dates.start === dates.finish ? shortDay(dates.start) : `${shortDay(dates.start)} – ${shortDay(dates.finish)}`}
      </>
    ) : (
      "no dates"
    ),
    isOver: conflicts.length > 0 || !dates,
  }),
  progress: ({ progress }) => ({ shown: progress > 0 ? `${progress}%` : "" }),
  slack: ({ slack }) => ({ shown: slack ? `${days(slack.total)} d` : "", isOver: slack !== null && slack.total < 0 }),
  deadline: ({ task, dates }) => ({
    shown: task.deadline === undefined ? "" : shortDay(parseDay(task.deadline)),
    isOver: task.deadline !== undefined && dates !== null && dates.finish > parseDay(task.deadline),
  }),
  priority: ({ task, isSummary }) => ({ shown: isSummary ? "" : (task.priority ?? 3) }),
  tags: ({ task }) => ({ shown: <span className="text-ink-2">{task.tags?.join(", ") ?? ""}</span> }),
};

function Who({ entry: { work, isSummary, open } }: { entry: OutlineTask }) {
  const people = work.filter(({ kind }) => kind === "person" || kind === "team");
  return (
    <span className="flex items-center">
      {people.slice(0, 3).map(({ assignment, name }) => (
        <span key={assignment.id} className="-mr-1">
          <Avatar name={name} />
        </span>
      ))}
      {people.length > 3 && <span className="pl-2 text-[12.5px] text-ink-2">+{people.length - 3}</span>}
      {!isSummary && open > 0 && <OpenSign label={`${hoursText(open)} hours have nobody yet`} />}
    </span>
  );
}

/** The sign of a date that is pinned by hand. */
function Pin() {
  return (
    <svg role="img" aria-label="Pinned" width="9" height="12" viewBox="0 0 9 12" className="mr-1 inline-block align-[-1px]">
      <title>Pinned to its dates</title>
      <circle cx="4.5" cy="3.5" r="3" fill="var(--ink-2)" />
      <path d="M4.5 6v6" stroke="var(--ink-2)" strokeWidth="1.2" />
    </svg>
  );
}
