"use client";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ChevronDown, ChevronRight } from "lucide-react";
import { type KeyboardEvent, useRef } from "react";
import type { OutlineLink, OutlineTask } from "../../core/answers/outline.ts";
import { focusSoon } from "../../ui/focusSoon.ts";
import { hueOf } from "../../ui/format.ts";
import { ChartHead } from "../../ui/timeChart.tsx";
import { useChartPeriods } from "../frame/useChartPeriods.ts";
import { ChartLinks } from "./chartLinks.tsx";
// The outline beside its time chart: rows virtualised, folded and moved by keyboard, bars dragged, links drawn.
import { type ChartEdits, ROW_HEIGHT } from "./outlineChart.ts";
import { ColumnCell, ColumnHead, gridOf } from "./outlineColumns.tsx";
import type { Step } from "./outlinePlace.ts";
import { TaskBar } from "./taskBar.tsx";
import type { ProjectHook } from "./useProject.ts";

const HEAD_HEIGHT = 34;

const steps: Record<string, Step> = { ArrowUp: "up", ArrowDown: "down", ArrowRight: "in", ArrowLeft: "out" };

export function OutlineTable({ project, edits }: { project: ProjectHook; edits: ChartEdits }) {
  const { outline, folded, selected, ticked, select } = project;
  const frame = useRef<HTMLDivElement>(null);
  const chart = useChartPeriods();
  const tasks = visibleTasks(project.tasks, folded);
  const rows = useVirtualizer({
    count: tasks.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_HEIGHT,
    getItemKey: (at) => tasks[at].task.id,
    overscan: 10,
    initialRect: { width: 1000, height: 600 },
  });
  const focusRow = (at: number) => {
    rows.scrollToIndex(at);
    focusSoon(`task-${tasks[at]?.task.id}`);
  };
  const press = (event: KeyboardEvent) => {
    const at = tasks.findIndex(({ task }) => `task-${task.id}` === (event.target as HTMLElement).id);
    if (at < 0) return;
    const { id } = tasks[at].task;
    if (event.altKey && steps[event.key]) void project.move(id, steps[event.key]).then(() => focusRow(at));
    else if (event.ctrlKey || event.metaKey || event.altKey) return;
    else if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      const next = Math.max(0, Math.min(tasks.length - 1, at + (event.key === "ArrowDown" ? 1 : -1)));
      if (event.shiftKey) project.tick([id, tasks[next].task.id], true);
      focusRow(next);
    } else if ((event.key === "ArrowLeft" || event.key === "ArrowRight") && tasks[at].isSummary) {
      if (folded.includes(id) === (event.key === "ArrowRight")) project.fold(id);
    } else if (event.key === "Enter") {
      select(id);
      requestAnimationFrame(() => document.getElementById("quick-entry")?.focus());
    } else if (event.key === " ") select(id);
    else if (event.key.toLowerCase() === "x") project.tick([id], !ticked.has(id));
    else return;
    event.preventDefault();
  };
  const grid = gridOf(project.columns);
  const isAll = tasks.length > 0 && tasks.every(({ task }) => ticked.has(task.id));
  return (
    <div ref={frame} onKeyDown={press} className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
      <div
        className="sticky top-0 z-[3] grid min-w-[760px] border-line border-b bg-sheet text-[13px]"
        style={{ height: HEAD_HEIGHT, gridTemplateColumns: grid }}
      >
        <input
          type="checkbox"
          aria-label={isAll ? "Untick all tasks" : "Tick all tasks"}
          className="self-center justify-self-center accent-pine"
          checked={isAll}
          onChange={(event) =>
            project.tick(
              tasks.map(({ task }) => task.id),
              event.target.checked,
            )
          }
        />
        <span className="px-2 pt-2 font-semibold">Task</span>
        {project.columns.map((column) => (
          <ColumnHead key={column} column={column} />
        ))}
        <span className="border-line border-l">
          <ChartHead window={chart.range} periods={chart.periods} headings={chart.headings} />
        </span>
      </div>
      <div className="relative min-w-[760px]" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => (
          <TaskRow
            key={tasks[index].task.id}
            entry={tasks[index]}
            top={start}
            hue={hueOf(outline?.projectRow ?? 0)}
            isSelected={tasks[index].task.id === selected?.task.id}
            isTicked={ticked.has(tasks[index].task.id)}
            isFolded={folded.includes(tasks[index].task.id)}
            project={project}
            edits={edits}
          />
        ))}
        <div aria-hidden className="pointer-events-none absolute inset-0 z-[2] grid" style={{ gridTemplateColumns: grid }}>
          <span className="relative overflow-hidden" style={{ gridColumnStart: project.columns.length + 3 }}>
            <ChartLinks links={linksShown(outline?.links ?? [], tasks)} tasks={tasks} window={chart.range} height={rows.getTotalSize()} />
          </span>
        </div>
      </div>
    </div>
  );
}

/** Tasks that no folded summary hides. */
function visibleTasks(tasks: readonly OutlineTask[], folded: readonly string[]): OutlineTask[] {
  const hidden = new Set<string>();
  return tasks.filter(({ task }) => {
    const isHidden = task.parentId !== undefined && (hidden.has(task.parentId) || folded.includes(task.parentId));
    if (isHidden) hidden.add(task.id);
    return !isHidden;
  });
}

function linksShown(links: readonly OutlineLink[], tasks: readonly OutlineTask[]): OutlineLink[] {
  const shown = new Set(tasks.map(({ task }) => task.id));
  return links.filter(({ link }) => shown.has(link.from) && shown.has(link.to));
}

function TaskRow({
  entry,
  top,
  hue,
  isSelected,
  isTicked,
  isFolded,
  project,
  edits,
}: {
  entry: OutlineTask;
  top: number;
  hue: string;
  isSelected: boolean;
  isTicked: boolean;
  isFolded: boolean;
  project: ProjectHook;
  edits: ChartEdits;
}) {
  const { task, depth, isSummary } = entry;
  return (
    <div
      data-task={task.id}
      onClick={() => project.select(task.id)}
      className={`absolute inset-x-0 grid cursor-pointer items-center border-line border-b ${isSelected || isTicked ? "bg-pine-wash" : isSummary ? "bg-paper" : "hover:bg-well/60"}`}
      style={{ top, height: ROW_HEIGHT, gridTemplateColumns: gridOf(project.columns) }}
    >
      <input
        type="checkbox"
        aria-label={`Tick ${task.name}`}
        className="justify-self-center accent-pine"
        checked={isTicked}
        onClick={(event) => event.stopPropagation()}
        onChange={(event) => project.tick([task.id], event.target.checked)}
      />
      <span className="flex min-w-0 items-center pr-2" style={{ paddingLeft: 4 + depth * 16 }}>
        {isSummary ? (
          <button
            type="button"
            tabIndex={-1}
            aria-label={`${isFolded ? "Unfold" : "Fold"} ${task.name}`}
            aria-expanded={!isFolded}
            onClick={(event) => {
              event.stopPropagation();
              project.fold(task.id);
            }}
            className="mr-0.5 grid size-6 shrink-0 place-items-center rounded-[4px] text-ink-2 hover:bg-well"
          >
            {isFolded ? <ChevronRight size={13} /> : <ChevronDown size={13} />}
          </button>
        ) : (
          <span className="w-[6px]" />
        )}
        <button
          id={`task-${task.id}`}
          type="button"
          className={`block min-w-0 truncate text-left ${isSummary ? "font-title text-[15px] italic" : ""}`}
        >
          {task.name}
        </button>
        {task.atRisk && <span className="ml-1.5 shrink-0 text-[12px] text-ochre-ink">at risk</span>}
      </span>
      {project.columns.map((column) => (
        <ColumnCell key={column} column={column} entry={entry} />
      ))}
      <TaskBar entry={entry} hue={hue} edits={edits} />
    </div>
  );
}
