"use client";
// The columns of a time chart: the window's periods with their headings.
import { periodsIn } from "../../core/calendar/periods.ts";
import { periodHeading } from "../../ui/format.ts";
import { usePlanWindow } from "./windowed.ts";

const WEEKS_FROM_MONDAY = { weekStartsOn: 1, fiscalYearStartMonth: 1 };

export function useChartPeriods() {
  const { range, grain } = usePlanWindow();
  const periods = periodsIn(range, grain, WEEKS_FROM_MONDAY);
  return { range, grain, periods, headings: periods.map((period) => periodHeading(period, grain).main) };
}
