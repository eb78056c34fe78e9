"use client";
// The time ribbon: the whole horizon as one strip, with the window on it that every screen follows.
import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import { type Day, dateOf, dayOfDate } from "../core/calendar/day.ts";
import type { Range } from "../core/calendar/periods.ts";
import { monthText, rangeText } from "./format.ts";
import { rangeFrom } from "./timeWindow.ts";
import { type Dragged, usePointerDrag } from "./usePointerDrag.ts";
import { useWidth } from "./useWidth.ts";

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
  const width = useWidth(strip, "ribbon", USUAL_WIDTH);
  const days = horizon.stop - horizon.start;
  const percent = (day: Day) => ((day - horizon.start) / days) * 100;
  const daysOf = (pixels: number) => (pixels / (strip.current?.clientWidth ?? 1)) * days;
  const jump = (event: PointerEvent) => {
    const at = horizon.start + daysOf(event.clientX - (strip.current?.getBoundingClientRect().left ?? 0));
    const length = window.stop - window.start;
    onMove(moved(window, "both", at - window.start - length / 2, props));
  };
  return (
    <div ref={strip} className="relative h-full w-full select-none overflow-hidden" onPointerDown={jump}>
      <Shape {...props} />
      <Months horizon={horizon} percent={percent} width={width} />
      {today >= horizon.start && today < horizon.stop && (
        <span className="pointer-events-none absolute top-[12px] bottom-0 w-px bg-ink" style={{ left: `${percent(today)}%` }}>
          <span className="-left-[2px] absolute top-0 size-[5px] rounded-full bg-ink" />
        </span>
      )}
      <Window {...props} left={percent(window.start)} width={percent(window.stop) - percent(window.start)} daysOf={daysOf} />
    </div>
  );
}

/** Pixels that the name of a month needs. */
const MONTH_WIDTH = 36;
/** As the window of a desk has it, until the strip has been measured. */
const USUAL_WIDTH = 825;

interface MonthsProps {
  horizon: Range;
  percent: (day: Day) => number;
  /** Of the strip, in pixels. */
  width: number;
}

/** The names of the months; where they would overlap, of every second, third, fourth, sixth or twelfth, Januaries among them. */
function Months({ horizon, percent, width }: MonthsProps) {
  const starts = monthStarts(horizon);
  const least = (starts.length * MONTH_WIDTH) / width;
  const every = [1, 2, 3, 4, 6].find((own) => own >= least) ?? 12;
  const named = starts.filter((day) => (dateOf(day).month - 1) % every === 0);
  return named.map((day) => (
    <span
      key={day}
      className="pointer-events-none absolute top-[3px] text-[11px] text-ink-2"
      style={{ left: `calc(${percent(day)}% + 4px)` }}
    >
      {monthText(day)}
    </span>
  ));
}

interface WindowProps extends RibbonProps {
  left: number;
  width: number;
  daysOf: (pixels: number) => number;
}

/** The window: moved as a whole, or by an edge. */
function Window({ left, width, daysOf, ...props }: WindowProps) {
  const { horizon, window, onMove, step } = props;
  const press = (event: KeyboardEvent) => {
    const way = event.key === "ArrowLeft" ? -1 : event.key === "ArrowRight" ? 1 : 0;
    if (way === 0) return;
    event.preventDefault();
    event.stopPropagation();
    onMove(moved(window, event.shiftKey ? "stop" : "both", way * step, props));
  };
  const grip = (of: Grip) => ({ window, onTo: (from: Range, pixels: number) => onMove(moved(from, of, daysOf(pixels), props)) });
  const whole = useGrip(grip("both"));
  const start = useGrip(grip("start"));
  const stop = useGrip(grip("stop"));
  return (
    <div
      {...whole}
      role="slider"
      tabIndex={0}
      aria-label="Time window"
      aria-valuemin={horizon.start}
      aria-valuemax={horizon.stop}
      aria-valuenow={window.start}
      aria-valuetext={rangeText(window)}
      title={`${rangeText(window)}. Drag to move, drag an edge to resize; arrow keys move, with Shift they resize.`}
      className="absolute inset-y-0 cursor-grab border-pine border-x-[3px] bg-pine/12 focus-visible:outline-offset-[-3px]"
      style={{ left: `${left}%`, width: `${width}%` }}
      onKeyDown={press}
    >
      <span {...start} className="-left-[7px] absolute inset-y-0 w-[11px] cursor-ew-resize" />
      <span {...stop} className="-right-[7px] absolute inset-y-0 w-[11px] cursor-ew-resize" />
    </div>
  );
}

/** A part of the window that is dragged: the screens follow at once, from where it was taken. */
function useGrip({ window, onTo }: { window: Range; onTo: (from: Range, pixels: number) => void }) {
  const from = useRef(window);
  const follow = (_: unknown, { dx }: Dragged) => onTo(from.current, dx);
  const { onPointerDown } = usePointerDrag<void>({ onDrag: follow, onDrop: follow }).handlers();
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      from.current = window;
      onPointerDown(event);
    },
  };
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
  if (grip === "start") return { start: Math.max(horizon.start, Math.min(from.stop - step, from.start + days)), stop: from.stop };
  if (grip === "stop") return { start: from.start, stop: Math.min(horizon.stop, Math.max(from.start + step, from.stop + days)) };
  return rangeFrom(from.start + days, from, horizon);
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
