"use client";
// A project that lies outside the time shown would open with an empty chart: the window moves to its start.
import { useEffect, useRef } from "react";
import type { Outline } from "../../core/answers/outline.ts";
import { periodStart, type Range } from "../../core/calendar/periods.ts";
import { usePlanFacts } from "../frame/facts.ts";
import { usePlanWindow } from "../frame/windowed.ts";

/** Moves the window once for each project that is opened; afterwards it stays where the user puts it. */
export function useProjectInWindow(outline: Outline | null): void {
  const { range, moveTo } = usePlanWindow();
  const { horizon, periodSettings } = usePlanFacts();
  const opened = useRef<string | null>(null);
  useEffect(() => {
    if (!outline || opened.current === outline.project.id) return;
    const { project, start, finish } = outline;
    // A change of the address is lost when it is asked for in the same turn in which a link opened the project.
    const turn = setTimeout(() => {
      opened.current = project.id;
      if (start >= range.stop || finish < range.start) moveTo(windowAt(periodStart(start, "week", periodSettings), range, horizon));
    });
    return () => clearTimeout(turn);
  }, [outline, range, horizon, periodSettings, moveTo]);
}

/** A window of the same length that begins on a day, or ends with the plan. */
function windowAt(day: number, { start, stop }: Range, horizon: Range): Range {
  const length = stop - start;
  const first = Math.max(horizon.start, Math.min(day, horizon.stop - length));
  return { start: first, stop: first + length };
}
