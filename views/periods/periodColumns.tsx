"use client";
// Columns of a table that are periods: the window's days, weeks or months with their headings.
import { type ReactNode, useMemo } from "react";
import type { Grain, Range } from "../../core/calendar/periods.ts";
import { periodHeading, periodPhrase } from "../../ui/format.ts";
import type { TableColumn } from "../../ui/table/column.ts";
import { TwoLines } from "../../ui/twoLines.tsx";
import { usePlanFacts } from "../scope/facts.ts";
import { usePlanWindow } from "../scope/windowed.ts";

/** One column a period; `columnOf` says what is in it and is written once for a table. `grain` is left out where the
 * periods are those of the window. */
export function usePeriodColumns<R>(
  periods: readonly Range[],
  columnOf: (period: Range, at: number) => Omit<TableColumn<R>, "id" | "head" | "headNode"> & { headMark?: ReactNode },
  grain?: Grain,
): TableColumn<R>[] {
  const window = usePlanWindow();
  const { periodSettings } = usePlanFacts();
  const own = grain ?? window.grain;
  return useMemo(
    () =>
      periods.map((period, at) => {
        const { main, side } = periodHeading(period, own, periodSettings);
        const { headMark, ...column } = columnOf(period, at);
        return {
          ...column,
          id: `p${period.start}`,
          head: periodPhrase(period),
          // The mark is in the shorter line, so that the heading stays whole in narrow columns.
          headNode: <TwoLines main={<span className="font-semibold text-ink">{main}</span>} side={headMark ? [headMark, side] : side} />,
        };
      }),
    [periods, own, periodSettings, columnOf],
  );
}
