// The layout of the board: columns of equal width, days within them, bars in lanes.
import type { Day } from "../../core/calendar/day.ts";
import type { Range } from "../../core/calendar/periods.ts";
import type { Bar } from "../../core/load/bars.ts";

export const NAME_WIDTH = 176;
export const SUM_WIDTH = 62;
/** Below this width figures are set closer. */
export const NARROW_COLUMN = 76;
export const LEAST_COLUMN = 69;
export const HEAD_HEIGHT = 44;
export const ROLE_HEIGHT = 29;
export const PERSON_HEIGHT = 46;
export const LANE_HEIGHT = 26;
const BARS_PADDING = 12;

/** The left edge of a day in columns: 1.5 is the middle of the second. */
export function columnOf(day: Day, periods: readonly Range[]): number {
  const at = periods.findIndex(({ stop }) => day < stop);
  if (at < 0) return periods.length;
  const { start, stop } = periods[at];
  return at + Math.max(0, day - start) / (stop - start);
}

/** Puts bars into lanes so that none lies on another; gives the lane of each. */
export function lanesOf(bars: readonly Bar[]): { lanes: number[]; count: number } {
  const ends: Day[] = [];
  const lanes = bars.map(({ start, stop }) => {
    const free = ends.findIndex((end) => end <= start);
    const lane = free < 0 ? ends.length : free;
    ends[lane] = stop;
    return lane;
  });
  return { lanes, count: ends.length };
}

/** The height of an open person's bars; a line of text if there are none. */
export function barsHeight(bars: readonly Bar[]): number {
  return Math.max(1, lanesOf(bars).count) * LANE_HEIGHT + BARS_PADDING;
}
