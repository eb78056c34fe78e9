"use client";
// The column of a table that holds a time chart: its periods in the heading, its grid behind every bar.
import { type ReactNode, useMemo } from "react";
import type { TableColumn } from "../../ui/table/column.ts";
import { ChartGrid, ChartHead } from "../../ui/timeChart.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { useChartPeriods } from "./useChartPeriods.ts";
import { texts } from "./words.ts";

/** `bars` draws what is on the row's days; written once for a table, for each new one draws all rows again. */
export function useChartColumn<R>(width: number, bars: (row: R) => ReactNode, share?: number): TableColumn<R> {
  const { range, periods, headings } = useChartPeriods();
  return useMemo(
    () => ({
      id: "chart",
      head: texts.datesAsBars,
      headNode: <ChartHead window={range} periods={periods} headings={headings} />,
      width,
      grow: 2,
      share,
      hasDivider: share !== undefined,
      isBare: true,
      cell: (row) => <ChartCell>{bars(row)}</ChartCell>,
    }),
    [range, periods, headings, width, bars, share],
  );
}

function ChartCell({ children }: { children: ReactNode }) {
  const { range, periods } = useChartPeriods();
  const { today } = usePlanFacts();
  return (
    <span data-chart className="relative block size-full">
      <ChartGrid window={range} periods={periods} today={today} />
      {children}
    </span>
  );
}
