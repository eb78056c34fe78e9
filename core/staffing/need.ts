// The minutes by day of the person who takes a row of work.
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { splitByWeight } from "../placing/split.ts";
import { windowOf } from "../placing/window.ts";
import { isOpening } from "../work/work.ts";

/** Minutes by day; index is `day − range.start`. */
export interface Need {
  range: Range;
  minutes: Int32Array;
}

/** As it is placed now; where hours of a person could not be placed, all that is asked for, spread over the working days of the task. */
export function needOf({ plan, work, placements, schedule }: Model, row: number): Need {
  const length = placements.length[row];
  const placed = {
    range: { start: placements.start[row], stop: placements.start[row] + length },
    minutes: placements.buffer.minutes.subarray(placements.offset[row], placements.offset[row] + length),
  };
  const dates = schedule.of(work.task[row]);
  if (isOpening(work, row) || placements.unplaced[row] === 0 || !dates || plan.assignments[row]?.custom) return placed;
  const { start, stop } = windowOf(dates, work, row);
  if (stop <= start) return placed;
  const { minutes, at } = dates.line.minutesOver(start, stop);
  const weights = minutes.slice(at, at + stop - start);
  return splitByWeight(placements.asked[row], weights, 0, weights.length) ? { range: { start, stop }, minutes: weights } : placed;
}
