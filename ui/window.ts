"use client";
// The window of time that every screen follows, kept in the URL.
import { parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import { useCallback, useMemo } from "react";
import { type Day, formatDay } from "../core/calendar/day.ts";
import { type Grain, grains, type PeriodSettings, type Range } from "../core/calendar/periods.ts";
import { windowFrom } from "./timeWindow.ts";

export interface TimeWindow {
  range: Range;
  grain: Grain;
  moveTo(range: Range): void;
  setGrain(grain: Grain): void;
}

/** The window, and how to move it; the same as long as it is not moved. */
export function useTimeWindow(today: Day, horizon: Range, settings: PeriodSettings): TimeWindow {
  const [params, setParams] = useQueryStates(
    { from: parseAsString, to: parseAsString, by: parseAsStringLiteral(grains) },
    { history: "replace", shallow: true },
  );
  const window = useMemo(
    () => windowFrom(params.from, params.to, params.by, today, horizon, settings),
    [params.from, params.to, params.by, today, horizon, settings],
  );
  const moveTo = useCallback(
    (range: Range) => void setParams({ from: formatDay(range.start), to: formatDay(range.stop - 1) }),
    [setParams],
  );
  const setGrain = useCallback((grain: Grain) => void setParams({ by: grain }), [setParams]);
  return useMemo(() => ({ ...window, moveTo, setGrain }), [window, moveTo, setGrain]);
}
