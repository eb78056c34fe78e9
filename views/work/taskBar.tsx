"use client";
// A task's bar on the chart: dragged along time, with what that would move named before release; a dot at its end draws
// a link.
import { type PointerEvent, useRef, useState } from "react";
import { createPortal } from "react-dom";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { OutlineTask } from "../../core/answers/outline.ts";
import { countText, hoursText, longDay, shortDay } from "../../ui/format.ts";
import { ChartBar, ChartGrid, percentOf } from "../../ui/timeChart.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import { useImpact } from "../frame/impact.tsx";
import { useChartPeriods } from "../frame/useChartPeriods.ts";
import type { ChartEdits } from "./outlineChart.ts";

interface Drag {
  /** Where the pointer went down, and is now. */
  fromX: number;
  x: number;
  y: number;
  days: number;
}

export function TaskBar({ entry, hue, edits }: { entry: OutlineTask; hue: string; edits: ChartEdits }) {
  const { task, isSummary, isMilestone, dates, slack, asked, work, progress } = entry;
  const { range, periods } = useChartPeriods();
  const { today } = usePlanFacts();
  const cell = useRef<HTMLSpanElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const [link, setLink] = useState<{ x: number; y: number; fromX: number; fromY: number } | null>(null);
  const people = work.filter(({ kind }) => kind === "person" || kind === "team");
  const isPencilled = people.length > 0 && people.every(({ assignment }) => assignment.firmness === "pencilled");
  const look = isSummary ? "summary" : isMilestone ? "milestone" : isPencilled ? "pencilled" : "task";
  const days = drag?.days ?? 0;
  if (!dates)
    return (
      <span ref={cell} data-chart className="relative h-full border-line border-l">
        <ChartGrid window={range} periods={periods} today={today} />
      </span>
    );
  const perDay = () => (cell.current?.clientWidth ?? 1) / (range.stop - range.start);
  const down = (event: PointerEvent<HTMLSpanElement>) => {
    if (isSummary || event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setDrag({ fromX: event.clientX, x: event.clientX, y: event.clientY, days: 0 });
  };
  const move = (event: PointerEvent) => {
    if (drag) setDrag({ ...drag, x: event.clientX, y: event.clientY, days: Math.round((event.clientX - drag.fromX) / perDay()) });
  };
  const up = () => {
    if (drag && days !== 0) edits.onDrop(task.id, dates.start + days);
    setDrag(null);
  };
  const left = percentOf(dates.start + days, range);
  const width = percentOf(dates.finish + 1 + days, range) - left;
  return (
    <span ref={cell} data-chart className="relative h-full border-line border-l">
      <ChartGrid window={range} periods={periods} today={today} />
      <ChartBar
        window={range}
        start={dates.start + days}
        finish={dates.finish + days}
        hue={hue}
        done={progress}
        look={look}
        isCritical={slack?.isCritical}
        lateFinish={slack && slack.total > 0 && !isSummary && days === 0 ? slack.lateFinish : undefined}
        title={`${task.name}: ${shortDay(dates.start)} – ${longDay(dates.finish)}, ${hoursText(asked)} hours, ${countText(people.length, "person", "people")}`}
      />
      {!isSummary && dates.finish >= range.start && dates.start < range.stop && (
        <>
          <span
            data-bar={task.id}
            onPointerDown={down}
            onPointerMove={move}
            onPointerUp={up}
            onPointerCancel={() => setDrag(null)}
            onClick={(event) => days !== 0 && event.stopPropagation()}
            className="absolute inset-y-[4px] z-[3] cursor-grab touch-none active:cursor-grabbing"
            style={{ left: `${left}%`, width: `max(12px, ${width}%)` }}
          />
          <span
            data-link-from={task.id}
            title="Drag to the task that follows"
            onPointerDown={(event) => {
              event.stopPropagation();
              event.currentTarget.setPointerCapture(event.pointerId);
              setLink({ fromX: event.clientX, fromY: event.clientY, x: event.clientX, y: event.clientY });
            }}
            onPointerMove={(event) => link && setLink({ ...link, x: event.clientX, y: event.clientY })}
            onPointerUp={(event) => {
              setLink(null);
              const target = rowUnder(event.clientX, event.clientY);
              if (target && target !== task.id) edits.onLink(task.id, target);
            }}
            onPointerCancel={() => setLink(null)}
            onClick={(event) => event.stopPropagation()}
            className="absolute top-1/2 z-[4] -mt-[5px] size-[10px] cursor-crosshair touch-none rounded-full border-2 border-ink-2 bg-sheet opacity-0 hover:opacity-100"
            style={{ left: `calc(${left + width}% + 1px)` }}
          />
        </>
      )}
      {drag && days !== 0 && createPortal(<DropChip taskId={task.id} day={dates.start + days} x={drag.x} y={drag.y} />, document.body)}
      {link && createPortal(<LinkLine {...link} />, document.body)}
    </span>
  );
}

function rowUnder(x: number, y: number): string | null {
  for (const element of document.elementsFromPoint(x, y)) {
    const row = (element as HTMLElement).closest<HTMLElement>("[data-task]");
    if (row?.dataset.task) return row.dataset.task;
  }
  return null;
}

/** The line that is being drawn. */
function LinkLine({ fromX, fromY, x, y }: { fromX: number; fromY: number; x: number; y: number }) {
  return (
    <svg aria-hidden="true" className="pointer-events-none fixed inset-0 z-50 size-full">
      <line x1={fromX} y1={fromY} x2={x} y2={y} stroke="var(--pine)" strokeWidth="2" />
      <circle cx={x} cy={y} r="4" fill="var(--pine)" />
    </svg>
  );
}

/** What a drop here would do, told while the bar is still held. */
function DropChip({ taskId, day, x, y }: { taskId: string; day: number; x: number; y: number }) {
  const drop = useMaybeAnswer("drop", { taskId, day }, null);
  const option = drop?.taskId === taskId ? drop.options[0] : null;
  const impact = useImpact(option?.edit ?? null);
  const projects = impact?.finishes.filter(({ kind }) => kind === "project") ?? [];
  const tasks = impact?.finishes.filter(({ kind, id }) => kind === "task" && id !== taskId) ?? [];
  return (
    <div
      role="status"
      className="pointer-events-none fixed z-50 max-w-[300px] rounded-card border border-line-2 bg-sheet px-2.5 py-1.5 text-[13px] shadow-float"
      style={{ left: Math.min(x + 14, globalThis.innerWidth - 310), top: y + 16 }}
    >
      <p className="font-semibold">{longDay(drop?.start ?? day)}</p>
      {impact && tasks.length > 0 && (
        <p>
          {countText(tasks.length, "task")} {tasks.length === 1 ? "moves" : "move"} with it
        </p>
      )}
      {projects.map(({ id, name, before, after }) => (
        <p key={id} className={after > before ? "text-over" : "text-level-ink"}>
          {name} finishes {countText(Math.abs(after - before), "day")} {after > before ? "later" : "earlier"}
        </p>
      ))}
      {impact && impact.over.length > 0 && <p className="text-over">{impact.over[0].name} goes over</p>}
      {impact && tasks.length + projects.length + impact.over.length === 0 && <p className="text-ink-2">Nothing else moves.</p>}
    </div>
  );
}
