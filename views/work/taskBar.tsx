"use client";
// A task's bar on the chart: dragged along time, with what that would move named before release; a dot at its end draws
// a link.
import { useRef } from "react";
import { createPortal } from "react-dom";
import type { Redacted } from "../../client/seen.ts";
import { useMaybeAnswer } from "../../client/session.tsx";
import type { OutlineTask } from "../../core/answers/outline.ts";
import type { PromisedDates } from "../../core/answers/promised.ts";
import { countText, hoursText, longDay, shortDay } from "../../ui/format.ts";
import { ChartBar, percentOf } from "../../ui/timeChart.tsx";
import { type Dragged, usePointerDrag } from "../../ui/usePointerDrag.ts";
import { useChartPeriods } from "../periods/useChartPeriods.ts";
import { BarEdges } from "./barEdges.tsx";
import { ChipImpact } from "./chipImpact.tsx";
import { DateSigns } from "./dateSigns.tsx";
import { LinkGrip } from "./linkGrip.tsx";
import type { ChartEdits } from "./outlineChart.ts";
import { peopleOf } from "./outlineColumns.tsx";
import { PromisedBar } from "./promisedColumn.tsx";

interface TaskBarProps {
  entry: Redacted<OutlineTask>;
  hue: string;
  edits: ChartEdits;
  /** The dates of a baseline; null where none is shown. */
  promised: PromisedDates | null;
}

export function TaskBar({ entry, hue, edits, promised }: TaskBarProps) {
  const { task, isSummary, dates, slack, progress } = entry;
  const { range } = useChartPeriods();
  const cell = useRef<HTMLSpanElement>(null);
  const perDay = () => (cell.current?.clientWidth ?? 1) / (range.stop - range.start);
  const daysOf = ({ dx }: Dragged) => Math.round(dx / perDay());
  const { dragged, handlers } = usePointerDrag({
    canDrag: !isSummary,
    keyStep: perDay,
    onDrop: (_, drop) => dates && daysOf(drop) !== 0 && edits.onDrop(task.id, dates.start + daysOf(drop)),
  });
  if (!dates) return <PromisedBar promised={promised} taskId={task.id} window={range} />;
  const days = dragged ? daysOf(dragged) : 0;
  const left = percentOf(dates.start + days, range);
  const right = percentOf(dates.finish + 1 + days, range);
  return (
    <span ref={cell} className="absolute inset-0">
      <ChartBar
        window={range}
        start={dates.start + days}
        finish={dates.finish + days}
        hue={hue}
        done={progress}
        look={lookOf(entry)}
        isCritical={slack?.isCritical}
        lateFinish={slack && slack.total > 0 && !isSummary && days === 0 ? slack.lateFinish : undefined}
        title={titleOf(entry)}
      />
      <PromisedBar promised={promised} taskId={task.id} window={range} />
      {!isSummary && dates.finish >= range.start && dates.start < range.stop && (
        <Grips entry={entry} edits={edits} left={left} right={right} handlers={handlers()} daysOf={daysOf} />
      )}
      {dragged &&
        days !== 0 &&
        createPortal(<DropChip taskId={task.id} day={dates.start + days} x={dragged.x} y={dragged.y} />, document.body)}
    </span>
  );
}

interface GripProps extends Omit<TaskBarProps, "hue" | "promised"> {
  /** Where the bar begins and ends, in per cent of the chart. */
  left: number;
  right: number;
  handlers: ReturnType<ReturnType<typeof usePointerDrag>["handlers"]>;
  daysOf: (drag: Dragged) => number;
}

/** The handles of a bar: itself, its ends, and the dot that draws a link; with the signs of its dates before it. */
function Grips({ entry, edits, left, right, handlers, daysOf }: GripProps) {
  const { task, isMilestone } = entry;
  return (
    <>
      <button
        {...handlers}
        type="button"
        id={`bar-${task.id}`}
        data-bar={task.id}
        tabIndex={-1}
        aria-label={`Move ${task.name}`}
        title={titleOf(entry)}
        className="absolute inset-y-[4px] z-[3] cursor-grab touch-none active:cursor-grabbing"
        style={{ left: `${left}%`, width: `max(12px, ${right - left}%)` }}
      />
      {!isMilestone && <BarEdges taskId={task.id} left={left} right={right} daysOf={daysOf} onStretch={edits.onStretch} />}
      <span className="bar-signs" style={{ right: `calc(${100 - left}% + 3px)` }}>
        <DateSigns entry={entry} />
      </span>
      <LinkGrip taskId={task.id} name={task.name} left={right} onLink={edits.onLink} />
    </>
  );
}

function lookOf({ isSummary, isMilestone, work }: Redacted<OutlineTask>) {
  if (isSummary) return "summary";
  if (isMilestone) return "milestone";
  const people = peopleOf(work);
  return people.length > 0 && people.every(({ assignment }) => assignment.firmness === "pencilled") ? "pencilled" : "task";
}

function titleOf({ task, dates, asked, work }: Redacted<OutlineTask>): string {
  if (!dates) return task.name;
  const people = countText(peopleOf(work).length, "person", "people");
  return `${task.name}: ${shortDay(dates.start)} – ${longDay(dates.finish)}, ${hoursText(asked)} hours, ${people}`;
}

/** The effect of a drop here, shown while the bar is still held. */
function DropChip({ taskId, day, x, y }: { taskId: string; day: number; x: number; y: number }) {
  const drop = useMaybeAnswer("drop", { taskId, day }, null);
  const option = drop?.taskId === taskId ? drop.options[0] : null;
  return (
    <div role="status" className="drag-says text-[13px]" style={{ left: Math.min(x + 14, globalThis.innerWidth - 310), top: y + 16 }}>
      <p className="font-semibold">{longDay(drop?.start ?? day)}</p>
      <ChipImpact edit={option?.edit ?? null} taskId={taskId} />
    </div>
  );
}
