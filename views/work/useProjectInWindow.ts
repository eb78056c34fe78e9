"use client";
// Moves the time window to a project outside it, whose chart would be empty otherwise.
import { useEffect, useRef } from "react";
import type { Redacted } from "../../client/seen.ts";
import type { Outline } from "../../core/answers/outline.ts";
import { periodStart } from "../../core/calendar/periods.ts";
import { rangeFrom } from "../../ui/timeWindow.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";

/** Moves the window once for each project that is opened; afterwards it stays where the user puts it. */
export function useProjectInWindow(outline: Redacted<Outline> | null): void {
  const { range, moveTo } = usePlanWindow();
  const { horizon, periodSettings } = usePlanFacts();
  const opened = useRef<string | null>(null);
  useEffect(() => {
    if (!outline || opened.current === outline.project.id) return;
    const { project, start, finish } = outline;
    // The router drops a change of the address that is made in the same turn as its own navigation.
    const turn = setTimeout(() => {
      opened.current = project.id;
      if (start >= range.stop || finish < range.start) moveTo(rangeFrom(periodStart(start, "week", periodSettings), range, horizon));
    });
    return () => clearTimeout(turn);
  }, [outline, range, horizon, periodSettings, moveTo]);
}
