"use client";
// The window of time that every screen follows, kept in the URL.
import { parseAsString, parseAsStringLiteral, useQueryStates } from "nuqs";
import { useMemo } from "react";
import { type Day, formatDay } from "../core/calendar/day.ts";
import { type Grain, grains, type PeriodSettings, type Range } from "../core/calendar/periods.ts";
import { windowFrom } from "./timeWindow.ts";

/** The window, and how to move it. */
export function useTimeWindow(today: Day, horizon: Range, settings: PeriodSettings) {
  const [params, setParams] = useQueryStates(
    { from: parseAsString, to: parseAsString, by: parseAsStringLiteral(grains) },
    { history: "replace", shallow: true },
  );
  const window = useMemo(
    () => windowFrom(params.from, params.to, params.by, today, horizon, settings),
    [params.from, params.to, params.by, today, horizon, settings],
  );
  const moveTo = (range: Range) => void setParams({ from: formatDay(range.start), to: formatDay(range.stop - 1) });
  const setGrain = (grain: Grain) => void setParams({ by: grain });
  return { ...window, moveTo, setGrain };
}
