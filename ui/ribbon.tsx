"use client";
// The time ribbon: the whole horizon as one strip, with the window on it that every screen follows.
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { type Day, dateOf, dayOfDate } from "../core/calendar/day.ts";
import type { Range } from "../core/calendar/periods.ts";
import { monthText, rangeText } from "./format.ts";

export interface RibbonProps {
  horizon: Range;
  today: Day;
  weeks: readonly Day[];
  capacity: readonly number[];
  load: readonly number[];
  over: readonly number[];
  window: Range;
  /** Days that one press of an arrow key moves, and to which dragging snaps. */
  step: number;
  onMove: (range: Range) => void;
}

const HEIGHT = 68;
const TOP = 20;

type Grip = "start" | "stop" | "both";

export function Ribbon(props: RibbonProps) {
  const { horizon, today, window, onMove } = props;
  const strip = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<{ grip: Grip; at: Day; from: Range } | null>(null);
  const days = horizon.stop - horizon.start;
  const percent = (day: Day) => ((day - horizon.start) / days) * 100;

  const dayAt = (event: PointerEvent) => {
    const box = (strip.current as HTMLDivElement).getBoundingClientRect();
    return horizon.start + ((event.clientX - box.left) / box.width) * days;
  };
  const hold = (grip: Grip) => (event: PointerEvent) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    setHeld({ grip, at: dayAt(event), from: window });
  };
  const drag = (event: PointerEvent) => {
    if (held) onMove(moved(held.from, held.grip, dayAt(event) - held.at, props));
  };
  const jump = (event: PointerEvent) => {
    const length = window.stop - window.start;
    onMove(moved({ start: window.start, stop: window.start + length }, "both", dayAt(event) - window.start - length / 2, props));
  };
  const press = (event: KeyboardEvent) => {
    const way = event.key === "ArrowLeft" ? -1 : event.key === "ArrowRight" ? 1 : 0;
    if (way === 0) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(moved(window, event.shiftKey ? "stop" : "both", way * props.step, props));
  };

  return (
    <div ref={strip} className="relative h-full w-full select-none overflow-hidden" onPointerDown={jump}>
      <Shape {...props} />
      {monthStarts(horizon).map((day) => (
        <span
          key={day}
          className="pointer-events-none absolute top-[3px] text-[11px] text-ink-2"
          style={{ left: `calc(${percent(day)}% + 4px)` }}
        >
          {monthText(day)}
        </span>
      ))}
      {today >= horizon.start && today < horizon.stop && (
        <span className="pointer-events-none absolute top-[12px] bottom-0 w-px bg-ink" style={{ left: `${percent(today)}%` }}>
          <span className="-left-[2px] absolute top-0 size-[5px] rounded-full bg-ink" />
        </span>
      )}
      <div
        role="slider"
        tabIndex={0}
        aria-label="Time window"
        aria-valuemin={horizon.start}
        aria-valuemax={horizon.stop}
        aria-valuenow={window.start}
        aria-valuetext={rangeText(window)}
        title={`${rangeText(window)}. Drag to move, drag an edge to resize; arrow keys move, with Shift they resize.`}
        className="absolute inset-y-0 cursor-grab border-pine border-x-[3px] bg-pine/12 focus-visible:outline-offset-[-3px]"
        style={{ left: `${percent(window.start)}%`, width: `${percent(window.stop) - percent(window.start)}%` }}
        onPointerDown={hold("both")}
        onPointerMove={drag}
        onPointerUp={() => setHeld(null)}
        onKeyDown={press}
      >
        <span
          className="-left-[7px] absolute inset-y-0 w-[11px] cursor-ew-resize"
          onPointerDown={hold("start")}
          onPointerMove={drag}
          onPointerUp={() => setHeld(null)}
        />
        <span
          className="-right-[7px] absolute inset-y-0 w-[11px] cursor-ew-resize"
          onPointerDown={hold("stop")}
          onPointerMove={drag}
          onPointerUp={() => setHeld(null)}
        />
      </div>
    </div>
  );
}

/** Load as a filled shape, capacity as a dashed line, excess in rust above. */
function Shape({ horizon, weeks, capacity, load, over }: RibbonProps) {
  const most = Math.max(1, ...capacity, ...load) * 1.08;
  const y = (minutes: number) => (HEIGHT - (minutes / most) * (HEIGHT - TOP)).toFixed(1);
  const days = horizon.stop - horizon.start;
  const x = (week: number) => (week < weeks.length ? weeks[week] : horizon.stop) - horizon.start;
  const points = (values: readonly number[]) => values.map((value, week) => `${x(week)},${y(value)} ${x(week + 1)},${y(value)}`).join(" ");
  return (
    <svg aria-hidden="true" className="absolute inset-0 h-full w-full" viewBox={`0 0 ${days} ${HEIGHT}`} preserveAspectRatio="none">
      <polygon points={`0,${HEIGHT} ${points(load)} ${days},${HEIGHT}`} fill="var(--room)" opacity="0.55" />
      <polyline
        points={points(capacity)}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1"
        strokeDasharray="3 2.5"
        vectorEffect="non-scaling-stroke"
      />
      {over.map((minutes, week) =>
        minutes > 0 ? (
          <rect
            key={weeks[week]}
            x={x(week)}
            y={TOP - 3}
            width={x(week + 1) - x(week)}
            height={Math.max(1.5, Math.min(5, (minutes / most) * 60))}
            fill="var(--over)"
          />
        ) : null,
      )}
    </svg>
  );
}

function moved(from: Range, grip: Grip, by: number, { horizon, step }: Pick<RibbonProps, "horizon" | "step">): Range {
  const days = Math.round(by / step) * step;
  const length = from.stop - from.start;
  if (grip === "start") return { start: Math.max(horizon.start, Math.min(from.stop - step, from.start + days)), stop: from.stop };
  if (grip === "stop") return { start: from.start, stop: Math.min(horizon.stop, Math.max(from.start + step, from.stop + days)) };
  const start = Math.max(horizon.start, Math.min(horizon.stop - length, from.start + days));
  return { start, stop: start + length };
}

function monthStarts(horizon: Range): Day[] {
  const { year, month } = dateOf(horizon.start);
  const starts: Day[] = [];
  const every = horizon.stop - horizon.start > 900 ? 3 : 1;
  for (let at = month; ; at += every) {
    const day = dayOfDate(year, at, 1);
    if (day >= horizon.stop - 12) return starts;
    starts.push(Math.max(day, horizon.start));
  }
}
