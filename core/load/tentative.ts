// Work that may still go away: pencilled, asked for, or of a project that is not won yet.
import type { Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { placedIn } from "../placing/placements.ts";
import { flagsOf } from "../plan/rows.ts";
import { isPipeline } from "./counting.ts";

/** Counted minutes of people's tentative work: slot `i × periods.length + p` is people[i] in period p.
 * @param shares What counts of each row of work, in hundredths of a percent.
 * @param periods In order and without gaps. */
export function tentativeLoads(model: Placed, people: ArrayLike<number>, shares: Int32Array, periods: readonly Range[]): Int32Array {
  const { plan, work, placements } = model;
  const { isPencilled, isAsked, project } = work;
  const isLikely = flagsOf(plan.projects, isPipeline);
  const loads = new Int32Array(people.length * periods.length);
  for (let i = 0; i < people.length; i++)
    for (let at = work.byPerson.first[people[i]]; at < work.byPerson.first[people[i] + 1]; at++) {
      const row = work.byPerson.members[at];
      if (isPencilled[row] + isAsked[row] + isLikely[project[row]] === 0 || shares[row] < 0) continue;
      const [start, stop] = [placements.start[row], placements.start[row] + placements.length[row]];
      for (let p = 0; p < periods.length && periods[p].start < stop; p++)
        if (periods[p].stop > start)
          loads[i * periods.length + p] += placedIn(placements, row, shares[row], periods[p].start, periods[p].stop);
    }
  return loads;
}
