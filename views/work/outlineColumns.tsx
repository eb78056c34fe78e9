"use client";
// The columns of a project's outline that can be shown or left out: their width, heading, what is in them and what they are sorted by.
import type { ReactNode } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { Outline, OutlineTask } from "../../core/answers/outline.ts";
import type { PromisedDates } from "../../core/answers/promised.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { TICKS_PER_DAY } from "../../core/calendar/workingLine.ts";
import { costKinds } from "../../core/cost/moneyKeys.ts";
import { type Figure, majorOf, sumOfFigures } from "../../core/plan/moneySides.ts";
import { type OutlineRow, readLinks } from "../../core/typing/typeLinks.ts";
import { Avatar, OpenSign } from "../../ui/avatar.tsx";
import { hoursOf, hoursText, longDay, moneyText, shortDay } from "../../ui/format.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { SignalSign } from "../today/signalSign.tsx";
import { DateSigns } from "./dateSigns.tsx";
import { promisedColumn } from "./promisedColumn.tsx";

export const outlineColumns = [
  "role",
  "who",
  "hours",
  "open",
  "days",
  "dates",
  "promised",
  "follows",
  "progress",
  "actual",
  "remaining",
  "began",
  "ended",
  "slack",
  "deadline",
  "priority",
  "tags",
  "labour",
  "material",
  "fixed",
  "expense",
  "cost",
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
  promised: "Promised",
  follows: "Follows",
  progress: "Done",
  actual: "Actual, h",
  remaining: "Remaining, h",
  began: "Started",
  ended: "Finished",
  slack: "Slack",
  deadline: "Deadline",
  priority: "Priority",
  tags: "Tags",
  labour: "Labour cost",
  material: "Material cost",
  fixed: "Fixed cost",
  expense: "Expenses",
  cost: "Cost",
};

/** Columns that need no more than their row. */
type PlainColumn = Exclude<OutlineColumn, "follows" | "promised">;

/** Columns that give way to the chart, the last of these first: the sheet says who. */
const yielding: readonly OutlineColumn[] = [
  "dates",
  "hours",
  "promised",
  "follows",
  "slack",
  "deadline",
  "open",
  "days",
  "ended",
  "began",
  "remaining",
  "actual",
  "progress",
  "priority",
  "tags",
  "expense",
  "fixed",
  "material",
  "labour",
  "cost",
  "who",
  "role",
];

const widths: Record<PlainColumn, Pick<TableColumn<Redacted<OutlineTask>>, "width" | "grow">> = {
  role: { width: 138, grow: 0.6 },
  who: { width: 94 },
  hours: { width: 70 },
  open: { width: 62 },
  days: { width: 54 },
  dates: { width: 124 },
  progress: { width: 58 },
  actual: { width: 74 },
  remaining: { width: 98 },
  began: { width: 70 },
  ended: { width: 74 },
  slack: { width: 60 },
  deadline: { width: 84 },
  priority: { width: 68 },
  tags: { width: 80, grow: 0.6 },
  labour: { width: 96 },
  material: { width: 104 },
  fixed: { width: 86 },
  expense: { width: 84 },
  cost: { width: 92 },
};

const figures: ReadonlySet<OutlineColumn> = new Set([
  "hours",
  "open",
  "days",
  "progress",
  "actual",
  "remaining",
  "slack",
  "priority",
  "labour",
  "material",
  "fixed",
  "expense",
  "cost",
]);

const costColumns: Partial<Record<OutlineColumn, (cost: Redacted<OutlineTask>["cost"]) => Figure>> = {
  labour: ({ labour }) => labour,
  material: ({ material }) => material,
  fixed: ({ fixed }) => fixed,
  expense: ({ expense }) => expense,
  cost: (cost) => sumOfFigures(costKinds.map((kind) => cost[kind])),
};

export const hasCostColumn = (chosen: readonly OutlineColumn[]): boolean => chosen.some((id) => costColumns[id]);

/** The name, then the columns that are chosen. Columns of cost have a foot: the project's total, with what belongs to no task. */
export function columnsOf(
  chosen: readonly OutlineColumn[],
  { follows, promised }: { follows: Follows; promised: PromisedDates | null },
  outline: Redacted<Outline> | null,
): TableColumn<Redacted<OutlineTask>>[] {
  const made = (id: OutlineColumn) => {
    if (id === "follows") return followsColumn(follows);
    return id === "promised" ? { ...promisedColumn(promised), yields: yielding.indexOf(id) } : columnOf(id);
  };
  const columns = [nameColumn(follows), ...chosen.map(made)];
  if (!outline || !hasCostColumn(chosen)) return columns;
  const { cost, costWithoutTask } = outline;
  return columns.map((column, at) => {
    const amountOf = at > 0 ? costColumns[chosen[at - 1]] : undefined;
    if (at === 0) return { ...column, foot: <TwoLines main="Total" side="without a task" /> };
    return amountOf ? { ...column, foot: <CostFoot all={amountOf(cost)} loose={amountOf(costWithoutTask)} /> } : column;
  });
}

function CostFoot({ all, loose }: { all: Figure; loose: Figure }) {
  return <TwoLines main={moneyText(all)} side={loose === 0 ? "–" : moneyText(loose)} />;
}

/** The predecessors of each task, as they are typed; and the rows that they are typed by. */
export interface Follows {
  rows: readonly OutlineRow[];
  /** By task id: its number in the outline, and the text. */
  numbers: ReadonlyMap<string, number>;
  texts: ReadonlyMap<string, string>;
  /** Its predecessors in other projects, which cannot be typed here. */
  elsewhere: ReadonlyMap<string, string>;
  onType: (taskId: string, text: string) => void;
}

function followsColumn({ rows, texts, elsewhere, onType }: Follows): TableColumn<Redacted<OutlineTask>> {
  const textOf = ({ task }: Redacted<OutlineTask>) => texts.get(task.id) ?? "";
  return {
    id: "follows",
    head: columnWords.follows,
    says: "Predecessors by row number: 3, with 5 + 2 d, finishes with 7, until 9. d are working days, cd calendar days",
    width: 110,
    grow: 0.4,
    yields: yielding.indexOf("follows"),
    value: (entry) => textOf(entry) || null,
    cell: (entry) => (
      <span className="truncate text-[13px]">
        {textOf(entry)} <span className="text-ink-2">{elsewhere.get(entry.task.id)}</span>
      </span>
    ),
    edit: () => ({
      write: textOf,
      read: (text) => ("notUnderstood" in readLinks(rows, text) ? null : { value: text }),
      says: "Row numbers or names: 3, with 5 + 2 d, finishes with 7",
      onSave: ({ task }, text) => onType(task.id, text),
    }),
  };
}

const nameColumn = ({ numbers }: Follows): TableColumn<Redacted<OutlineTask>> => ({
  id: "task",
  head: "Task",
  width: 180,
  grow: 1.3,
  isRowHead: true,
  value: ({ task }) => task.name,
  cell: ({ task, isSummary }) => (
    <>
      <span aria-hidden data-number={numbers.get(task.id)} className="row-number" />
      <span className={`truncate ${isSummary ? "heading-soft" : ""}`}>{task.name}</span>
      <SignalSign taskId={task.id} />
      {task.atRisk && <span className="ml-1.5 shrink-0 text-small text-ochre-ink">at risk</span>}
    </>
  ),
});

function columnOf(id: PlainColumn): TableColumn<Redacted<OutlineTask>> {
  return {
    id,
    head: columnWords[id],
    ...widths[id],
    yields: yielding.indexOf(id),
    isFigure: figures.has(id),
    value: (entry) => values[id](entry) ?? null,
    copied: (entry) => copies[id]?.(entry) ?? String(values[id](entry) ?? ""),
    cellTitle: (entry) => cells[id](entry).title,
    look: (entry) => cells[id](entry).isOver && "figure-bad",
    cell: (entry) => <span className="truncate text-[13px]">{cells[id](entry).shown}</span>,
  };
}

const values: Record<PlainColumn, (entry: Redacted<OutlineTask>) => string | number | null | undefined> = {
  role: ({ roleName }) => roleName,
  who: ({ work }) =>
    peopleOf(work)
      .map(({ name: own }) => own)
      .join(", ") || null,
  hours: ({ asked }) => hoursOf(asked),
  open: ({ open }) => hoursOf(open),
  days: ({ task, isSummary }) => (isSummary ? null : task.durationDays),
  dates: ({ dates }) => dates?.start,
  progress: ({ progress }) => progress,
  actual: ({ actual }) => hoursOf(actual),
  remaining: ({ remaining }) => hoursOf(remaining),
  began: ({ began }) => began,
  ended: ({ ended }) => ended,
  slack: ({ slack }) => slack && Number(days(slack.total)),
  deadline: ({ task }) => task.deadline,
  priority: ({ task, isSummary }) => (isSummary ? null : (task.priority ?? 3)),
  tags: ({ task }) => task.tags?.join(", "),
  labour: ({ cost }) => majorOf(cost.labour),
  material: ({ cost }) => majorOf(cost.material),
  fixed: ({ cost }) => majorOf(cost.fixed),
  expense: ({ cost }) => majorOf(cost.expense),
  cost: (entry) => majorOf(costOf(entry)),
};

/** All that a task costs, in minor units. */
const costOf = ({ cost }: Redacted<OutlineTask>): Figure => sumOfFigures(costKinds.map((kind) => cost[kind]));

const costCell = (minor: Figure): Cell => ({ shown: minor === 0 ? "" : moneyText(minor) });

const copies: Partial<Record<PlainColumn, (entry: Redacted<OutlineTask>) => string>> = {
  dates: ({ dates }) => (dates ? `${longDay(dates.start)} – ${longDay(dates.finish)}` : ""),
  began: ({ began }) => (began === null ? "" : longDay(began)),
  ended: ({ ended }) => (ended === null ? "" : longDay(ended)),
};

/** The people of a task's work. */
export const peopleOf = (work: Redacted<OutlineTask>["work"]) => work.filter(({ kind }) => kind === "person" || kind === "team");

interface Cell {
  shown: ReactNode;
  title?: string;
  isOver?: boolean;
}

const days = (ticks: number) => String(Math.round((ticks / TICKS_PER_DAY) * 10) / 10);

const cells: Record<PlainColumn, (entry: Redacted<OutlineTask>) => Cell> = {
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
  dates: (entry) => ({
    shown: entry.dates ? (
      <>
        <DateSigns entry={entry} />{" "}
        {entry.dates.start === entry.dates.finish
          ? shortDay(entry.dates.start)
          : `${shortDay(entry.dates.start)} – ${shortDay(entry.dates.finish)}`}
      </>
    ) : (
      "no dates"
    ),
    isOver: entry.conflicts.length > 0 || !entry.dates,
  }),
  progress: ({ progress }) => ({ shown: progress > 0 ? `${progress}%` : "" }),
  actual: ({ actual }) => ({ shown: actual > 0 ? hoursText(actual) : "" }),
  remaining: ({ remaining }) => ({ shown: remaining > 0 ? hoursText(remaining) : "" }),
  began: ({ began }) => ({ shown: began === null ? "" : shortDay(began) }),
  ended: ({ ended }) => ({ shown: ended === null ? "" : shortDay(ended) }),
  slack: ({ slack }) => ({ shown: slack ? `${days(slack.total)} d` : "", isOver: slack !== null && slack.total < 0 }),
  deadline: ({ task, dates }) => ({
    shown: task.deadline === undefined ? "" : shortDay(parseDay(task.deadline)),
    isOver: task.deadline !== undefined && dates !== null && dates.finish > parseDay(task.deadline),
  }),
  priority: ({ task, isSummary }) => ({ shown: isSummary ? "" : (task.priority ?? 3) }),
  tags: ({ task }) => ({ shown: <span className="text-ink-2">{task.tags?.join(", ") ?? ""}</span> }),
  labour: ({ cost }) => costCell(cost.labour),
  material: ({ cost }) => costCell(cost.material),
  fixed: ({ cost }) => costCell(cost.fixed),
  expense: ({ cost }) => costCell(cost.expense),
  cost: (entry) => costCell(costOf(entry)),
};

function Who({ entry: { work, isSummary, open } }: { entry: Redacted<OutlineTask> }) {
  const people = peopleOf(work);
  return (
    <span className="flex items-center">
      {people.slice(0, 3).map(({ assignment, name }) => (
        <span key={assignment.id} className="-mr-1">
          <Avatar name={name} />
        </span>
      ))}
      {people.length > 3 && <span className="pl-2 text-side">+{people.length - 3}</span>}
      {!isSummary && open > 0 && (
        <span className={people.length > 0 ? "pl-1" : ""}>
          <OpenSign label={`${hoursText(open)} hours unassigned`} />
        </span>
      )}
    </span>
  );
}
