"use client";
// The columns of a time chart: the window's periods with their headings.
import { useMemo } from "react";
import { periodsIn } from "../../core/calendar/periods.ts";
import { periodHeading } from "../../ui/format.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";

export function useChartPeriods() {
  const { range, grain } = usePlanWindow();
  const { periodSettings } = usePlanFacts();
  return useMemo(() => {
    const periods = periodsIn(range, grain, periodSettings);
    return { range, grain, periods, headings: periods.map((period) => periodHeading(period, grain, periodSettings).main) };
  }, [range, grain, periodSettings]);
}
