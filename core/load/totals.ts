// The assigned share of the work, and the utilization of everyone, over a range.
import type { Range } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import { placedIn } from "../placing/placements.ts";
import { roundedQuotient, shareOf } from "../values/units.ts";
import type { LoadBook } from "./loadBook.ts";

/** The minutes of some work in a range. */
interface Totals {
  onPeople: number;
  onTeams: number;
  onOpenings: number;
  unplaced: number;
}

/** The assigned share of the counted work of a range, in hundredths of a percent; null if there is no work.
 * @param projects Rows of the projects whose work is added up; all by default. */
export function assignedPercent(placed: Placed, load: LoadBook, range: Range, projects?: ReadonlySet<number>): number | null {
  const { onPeople, onTeams, onOpenings, unplaced } = totalsOf(placed, load, range, projects);
  return shareOf(onPeople, onPeople + onTeams + onOpenings + unplaced);
}

/** The used share of everyone's capacity of a range, in hundredths of a percent; null if there is no capacity. */
export function utilizationPercent(placed: Placed, load: LoadBook, range: Range): number | null {
  return shareOf(totalsOf(placed, load, range).onPeople, capacityOfAll(placed, range));
}

function totalsOf(placed: Placed, load: LoadBook, range: Range, projects?: ReadonlySet<number>): Totals {
  const { work, placements, plan } = placed;
  const { shares } = load;
  const isWanted = (row: number) => shares[row] > 0 && (!projects || projects.has(work.project[row]));
  const sums = { onPeople: 0, onTeams: 0, onOpenings: 0, unplaced: 0 };
  // All people's assigned minutes are in their loads, which are already known.
  if (!projects) for (let person = 0; person < plan.people.length; person++) sums.onPeople += load.sum(person, range.start, range.stop);
  for (let row = 0; row < work.rows; row++) {
    if (work.isMaterial[row] === 1 || (!projects && work.person[row] >= 0) || !isWanted(row)) continue;
    const minutes = placedIn(placements, row, shares[row], range.start, range.stop);
    if (work.person[row] >= 0) sums.onPeople += minutes;
    else if (work.team[row] >= 0) sums.onTeams += minutes;
    else sums.onOpenings += minutes;
  }
  for (const [row, parts] of placements.unplacedAt)
    if (isWanted(row))
      for (const { day, minutes } of parts)
        if (day >= range.start && day < range.stop) sums.unplaced += roundedQuotient(minutes * shares[row], 10_000);
  return sums;
}

/** Minutes all people together can work in a range. */
function capacityOfAll({ plan, capacity }: Placed, range: Range): number {
  let sum = 0;
  for (let person = 0; person < plan.people.length; person++) {
    const { regular, overtime, at } = capacity.of(person, range.start, range.stop);
    for (let i = at; i < at + range.stop - range.start; i++) sum += regular[i] + overtime[i];
  }
  return sum;
}
