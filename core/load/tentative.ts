// Work that may still go away: pencilled, asked for, or of a project that is not won yet.
import type { Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { placedIn } from "../placing/placements.ts";
import { flagsOf } from "../plan/rows.ts";
import { isPipeline } from "./counting.ts";
import type { LoadBook } from "./loadBook.ts";
import { periodsName, spanOf } from "./periodSums.ts";

/** The tentative part of one person's load, by the days of the load that several models share: it is valid while they do. */
const known = new WeakMap<Int32Array, { name: string; minutes: Int32Array }>();

/** Counted minutes of people's tentative work: slot `i × periods.length + p` is people[i] in period p.
 * @param periods In order and without gaps. */
export function tentativeLoads(model: Placed, people: ArrayLike<number>, load: LoadBook, periods: readonly Range[]): Int32Array {
  const isLikely = flagsOf(model.plan.projects, isPipeline);
  const count = periods.length;
  const loads = new Int32Array(people.length * count);
  const { start, stop } = spanOf(periods);
  const name = periodsName(periods);
  for (let i = 0; i < people.length; i++) {
    const days = load.of(people[i], start, stop);
    const kept = days.at === 0 ? undefined : known.get(days.minutes);
    const minutes = kept?.name === name ? kept.minutes : tentativeOf(model, people[i], load.shares, periods, isLikely);
    if (days.at !== 0 && kept?.name !== name) known.set(days.minutes, { name, minutes });
    loads.set(minutes, i * count);
  }
  return loads;
}

function tentativeOf(
  { work, placements }: Placed,
  person: number,
  shares: Int32Array,
  periods: readonly Range[],
  isLikely: Uint8Array,
): Int32Array {
  const { isPencilled, isAsked, project } = work;
  const loads = new Int32Array(periods.length);
  for (let at = work.byPerson.first[person]; at < work.byPerson.first[person + 1]; at++) {
    const row = work.byPerson.members[at];
    if (isPencilled[row] + isAsked[row] + isLikely[project[row]] === 0 || shares[row] < 0) continue;
    const [start, stop] = [placements.start[row], placements.start[row] + placements.length[row]];
    for (let p = 0; p < periods.length && periods[p].start < stop; p++)
      if (periods[p].stop > start) loads[p] += placedIn(placements, row, shares[row], periods[p].start, periods[p].stop);
  }
  return loads;
}
