// Capacity against demand by role and period: what is firm, what is open, and the range that demand may take with projects
// that are not won yet.
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import { isPipeline } from "../load/counting.ts";
import type { Placed } from "../placing/placed.ts";
import { percentHundredths } from "../plan/units.ts";
import { capacityByRole, DemandSums, demandedRole, roleOfPeople } from "./demand.ts";
import { type Chance, distributionOf, expectedHours, percentile, roundedNear } from "./distribution.ts";

/** One role by period. Minutes; the probability in hundredths of a percent. */
export interface RoleForecast {
  capacity: number[];
  /** Placed on people by approved work; openings and team work of it. */
  firm: number[];
  open: number[];
  expected: number[];
  p50: number[];
  p80: number[];
  p95: number[];
  shortageProbability: number[];
  expectedShortage: number[];
}

export interface Forecast {
  periods: Range[];
  /** By role row. */
  roles: RoleForecast[];
  /** Rows of the projects that are not won yet, with their whole hours by role and period. */
  pipeline: { project: number; probability: number; hours: Float64Array }[];
}

/** The forecast of every role over a range. Each pipeline project is won or lost by itself, its minutes of a role and period
 * rounded to whole hours. */
export function forecastOf(placed: Placed, { range, grain }: ReportRange): Forecast {
  const { plan, work } = placed;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const sums = new DemandSums(placed, periods);
  const roleOf = roleOfPeople(placed);
  const [firm, open] = [sums.empty(), sums.empty()];
  const byProject = new Map<number, Float64Array>();
  for (let row = 0; row < work.rows; row++) {
    const role = demandedRole(placed, roleOf, row);
    const project = work.project[row];
    const { stage } = plan.projects[project];
    if (role < 0 || stage === "cancelled") continue;
    if (isPipeline(plan.projects[project])) {
      const own = byProject.get(project) ?? sums.empty();
      byProject.set(project, own);
      sums.add(row, role, own);
    } else sums.add(row, role, work.person[row] >= 0 ? firm : open);
  }
  const pipeline = [...byProject].map(([project, minutes]) => ({
    project,
    probability: percentHundredths(plan.projects[project].probability ?? 100) / 10_000,
    hours: minutes.map((own) => Math.round(own / 60)),
  }));
  const capacity = capacityByRole(placed, roleOf, periods);
  const roles = plan.roles.map((_, role): RoleForecast => {
    const forecast = emptyForecast();
    for (let p = 0; p < periods.length; p++) {
      const slot = role * periods.length + p;
      const chances = pipeline.flatMap(({ probability, hours }) => (hours[slot] > 0 ? [{ hours: hours[slot], probability }] : []));
      addPeriod(forecast, { capacity: capacity[slot], firm: firm[slot], open: open[slot] }, chances);
    }
    return forecast;
  });
  return { periods, roles, pipeline };
}

function addPeriod(into: RoleForecast, own: { capacity: number; firm: number; open: number }, chances: readonly Chance[]): void {
  const sure = own.firm + own.open;
  const distribution = distributionOf(chances);
  let [probability, shortage] = [0, 0];
  for (let hours = 0; hours < distribution.length; hours++) {
    const over = sure + 60 * hours - own.capacity;
    if (over <= 0) continue;
    probability += distribution[hours];
    shortage += distribution[hours] * over;
  }
  into.capacity.push(own.capacity);
  into.firm.push(own.firm);
  into.open.push(own.open);
  into.expected.push(roundedNear(sure + 60 * expectedHours(chances)));
  into.p50.push(sure + 60 * percentile(distribution, 0.5));
  into.p80.push(sure + 60 * percentile(distribution, 0.8));
  into.p95.push(sure + 60 * percentile(distribution, 0.95));
  into.shortageProbability.push(roundedNear(probability * 10_000));
  into.expectedShortage.push(roundedNear(shortage));
}

const emptyForecast = (): RoleForecast => ({
  capacity: [],
  firm: [],
  open: [],
  expected: [],
  p50: [],
  p80: [],
  p95: [],
  shortageProbability: [],
  expectedShortage: [],
});
