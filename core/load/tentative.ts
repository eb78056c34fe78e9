// Work that may still go away: pencilled, asked for, or of a project that is not won yet.
import type { Range } from "../calendar/periods.ts";
import type { Model } from "../model.ts";
import { isPipeline } from "./counting.ts";
import { placedIn } from "./placements.ts";

/** True for a row of work that nobody has confirmed. */
export function isTentative({ plan, work }: Model, row: number): boolean {
  return (
    work.isPencilled[row] === 1 ||
    (row < work.assignments && plan.assignments[row].firmness === "asked") ||
    isPipeline(plan.projects[work.project[row]])
  );
}

/** Counted minutes of people's tentative work: slot `i × periods.length + p` is people[i] in period p.
 * @param shares What counts of each row of work, in hundredths of a percent.
 * @param periods In order and without gaps. */
export function tentativeLoads(model: Model, people: ArrayLike<number>, shares: Int32Array, periods: readonly Range[]): Int32Array {
  const { work, placements } = model;
  const loads = new Int32Array(people.length * periods.length);
  for (let i = 0; i < people.length; i++)
    for (let at = work.byPerson.first[people[i]]; at < work.byPerson.first[people[i] + 1]; at++) {
      const row = work.byPerson.members[at];
      if (shares[row] === 0 || placements.placed[row] === 0 || !isTentative(model, row)) continue;
      const [start, stop] = [placements.start[row], placements.start[row] + placements.length[row]];
      for (let p = 0; p < periods.length; p++) {
        const period = periods[p];
        if (period.start < stop && period.stop > start)
          loads[i * periods.length + p] += placedIn(placements, row, shares[row], period.start, period.stop);
      }
    }
  return loads;
}
