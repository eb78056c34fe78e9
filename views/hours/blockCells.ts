// A block of the hours grid cleared, or filled from its first row or column: the cells that are typed in for it.
import type { HoursGrid, HoursRow } from "../../core/answers/hoursGrid.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { TypedCell } from "../../core/typing/typeHours.ts";

/** A row of the grid with its minutes by period. */
interface GridRow {
  assignmentId: string;
  minutesAt: (period: Range) => number;
}

/** Rows as they are now in a grid that may be newer than the one they were marked in; one that is gone is left out. */
export function asTheyAre(grid: HoursGrid | null, marked: readonly HoursRow[]): GridRow[] {
  if (!grid) return [];
  const rows = new Map(grid.rows.map((row) => [row.assignmentId, row]));
  const at = new Map(grid.periods.map(({ start }, index) => [start, index]));
  return marked.flatMap(({ assignmentId }) => {
    const row = rows.get(assignmentId);
    return row ? [{ assignmentId, minutesAt: ({ start }: Range) => row.minutes[at.get(start) ?? -1] ?? 0 }] : [];
  });
}

/** No hours wherever there are any. */
export const clearedCells = (rows: readonly GridRow[], periods: readonly Range[]): TypedCell[] =>
  rows.flatMap(({ assignmentId, minutesAt }) =>
    periods.filter((period) => minutesAt(period) > 0).map((period) => ({ assignmentId, ...period, hours: 0 })),
  );

/** Copies the first row's or column's hours to all others. */
export function filledCells(rows: readonly GridRow[], periods: readonly Range[], way: "down" | "right"): TypedCell[] {
  const filled = ({ assignmentId }: GridRow, period: Range, from: GridRow, at: Range): TypedCell => ({
    assignmentId,
    ...period,
    hours: from.minutesAt(at) / 60,
  });
  return way === "right"
    ? rows.flatMap((row) => periods.slice(1).map((period) => filled(row, period, row, periods[0])))
    : rows.slice(1).flatMap((row) => periods.map((period) => filled(row, period, rows[0], period)));
}
