"use client";
// A row of a time chart: a bar on the days of a window, cut where it runs out of it.
import { useRef } from "react";
import type { Day } from "../core/calendar/day.ts";
import type { Range } from "../core/calendar/periods.ts";
import { useWidth } from "./useWidth.ts";

/** The position of a day in a window, in percent of its width. */
export function percentOf(day: Day, { start, stop }: Range): number {
  return Math.max(0, Math.min(100, ((day - start) / (stop - start)) * 100));
}

interface ChartBarProps {
  window: Range;
  start: Day;
  /** Last day, included. */
  finish: Day;
  hue: string;
  /** Share that is done, 0 … 100. */
  done?: number;
  look: Look;
  title: string;
  /** An ink rule under the bar. */
  isCritical?: boolean;
  /** Latest day it may finish: a dotted run leads there. */
  lateFinish?: Day;
}

export function ChartBar({ window, start, finish, hue, done = 0, look, title, isCritical = false, lateFinish }: ChartBarProps) {
  const slack = lateFinish !== undefined && lateFinish > finish && <SlackRun window={window} from={finish + 1} to={lateFinish + 1} />;
  if (finish < window.start || start >= window.stop) return slack || null;
  const left = percentOf(start, window);
  const width = percentOf(finish + 1, window) - left;
  return (
    <>
      {bar(look, title, left, width, hue, done)}
      {isCritical && look !== "summary" && (
        <span
          aria-hidden
          className="absolute bottom-[4px] h-[2px] bg-ink"
          style={look === "milestone" ? { left: `${left}%`, width: 11 } : { left: `${left}%`, width: `max(4px, ${width}%)` }}
        />
      )}
      {slack}
    </>
  );
}

function SlackRun({ window, from, to }: { window: Range; from: Day; to: Day }) {
  const left = percentOf(from, window);
  const width = percentOf(to, window) - left;
  if (width <= 0) return null;
  return (
    <span aria-hidden className="absolute top-1/2 border-ink-3 border-t-2 border-dotted" style={{ left: `${left}%`, width: `${width}%` }} />
  );
}

type Look = "task" | "summary" | "milestone" | "pencilled";

function bar(look: Look, title: string, left: number, width: number, hue: string, done: number) {
  if (look === "milestone")
    return (
      <span title={title} className="absolute top-1/2 -translate-y-1/2" style={{ left: `${left}%` }}>
        <svg aria-hidden="true" width="13" height="16" viewBox="0 0 13 16">
          <path d="M1 16V1l11 4-11 4" fill="var(--ink)" stroke="var(--ink)" strokeWidth="1.4" strokeLinejoin="round" />
        </svg>
      </span>
    );
  if (look === "summary")
    return (
      <span title={title} className="absolute top-1/2 h-[6px] -translate-y-1/2 bg-ink-2" style={{ left: `${left}%`, width: `${width}%` }} />
    );
  return (
    <span
      title={title}
      className={`absolute top-1/2 h-[16px] -translate-y-1/2 overflow-hidden rounded-[3px] ${look === "pencilled" ? "sign-pencilled" : ""}`}
      style={{
        left: `${left}%`,
        width: `max(4px, ${width}%)`,
        "--bar-hue": hue,
        ...(look === "task" && { background: `color-mix(in srgb, ${hue} 42%, var(--sheet))` }),
      }}
    >
      <span className="absolute inset-y-0 left-0" style={{ width: `${done}%`, background: hue }} />
    </span>
  );
}

/** Hairlines at the starts of periods, and today. */
export function ChartGrid({ window, periods, today }: { window: Range; periods: readonly Range[]; today: Day }) {
  return (
    <span aria-hidden className="pointer-events-none absolute inset-0">
      {periods.slice(1).map(({ start }) => (
        <span key={start} className="absolute inset-y-0 w-px bg-line" style={{ left: `${percentOf(start, window)}%` }} />
      ))}
      {today > window.start && today < window.stop && (
        <span className="absolute inset-y-0 w-px bg-pine" style={{ left: `${percentOf(today, window)}%` }} />
      )}
    </span>
  );
}

const HEADING_WIDTH = 54;

/** Headings of a chart's periods; where they would be too narrow, only some are shown. */
export function ChartHead({ window, periods, headings }: { window: Range; periods: readonly Range[]; headings: readonly string[] }) {
  const strip = useRef<HTMLSpanElement>(null);
  const width = useWidth(strip, "chart", 420);
  const every = Math.max(1, Math.ceil((periods.length * HEADING_WIDTH) / width));
  return (
    <span ref={strip} className="relative block h-full overflow-hidden">
      {periods.map(({ start }, at) =>
        at % every === 0 ? (
          <span
            key={start}
            className="absolute top-0 whitespace-nowrap line-left pt-[10px] pl-1.5 font-semibold text-[13px] leading-none first:border-l-0"
            style={{ left: `${percentOf(start, window)}%`, height: "100%" }}
          >
            {headings[at]}
          </span>
        ) : null,
      )}
    </span>
  );
}
