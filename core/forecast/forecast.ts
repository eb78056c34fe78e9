// Capacity against demand by group and period: what is firm, what is open, and the range that demand may take with projects
// that are not won yet.
import { periodSettingsOf } from "../calendar/horizon.ts";
import { periodsIn, type Range, type ReportRange } from "../calendar/periods.ts";
import { isPipeline } from "../load/counting.ts";
import type { Placed } from "../placing/placed.ts";
import { percentHundredths } from "../values/units.ts";
import { capacityOf, DemandSums, groupsAsked } from "./demand.ts";
import { type Chance, expectedMinutes, HoursDistribution } from "./distribution.ts";
import { type DemandGroups, roleGroups } from "./groups.ts";

/** One group by period. Minutes; the probability in hundredths of a percent. */
export interface GroupForecast {
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
  /** In the order of the groups. */
  groups: GroupForecast[];
  /** Rows of the projects that are not won yet, with their probability in hundredths of a percent and their whole hours by
   * group and period. */
  pipeline: { project: number; probability: number; hours: Float64Array }[];
}

/** The forecast of every group over a range. Each pipeline project is won or lost by itself, its minutes of a group and period
 * rounded to whole hours. @param groups Roles by default. */
export function forecastOf(placed: Placed, { range, grain }: ReportRange, groups: DemandGroups = roleGroups(placed)): Forecast {
  const { plan, work } = placed;
  const periods = periodsIn(range, grain, periodSettingsOf(plan));
  const sums = new DemandSums(placed, groups, periods);
  const [firm, open] = [sums.empty(), sums.empty()];
  const byProject = new Map<number, Float64Array>();
  for (let row = 0; row < work.rows; row++) {
    const asked = groupsAsked(placed, groups, row);
    const project = work.project[row];
    if (asked.length === 0 || plan.projects[project].stage === "cancelled") continue;
    let into = work.person[row] >= 0 ? firm : open;
    if (isPipeline(plan.projects[project])) {
      into = byProject.get(project) ?? sums.empty();
      byProject.set(project, into);
    }
    for (const group of asked) sums.add(row, group, into);
  }
  const pipeline = [...byProject].map(([project, minutes]) => ({
    project,
    probability: percentHundredths(plan.projects[project].probability ?? 100),
    hours: minutes.map((own) => Math.round(own / 60)),
  }));
  const capacity = capacityOf(placed, groups, periods);
  const reported = Array.from({ length: groups.count }, (_, group): GroupForecast => {
    const forecast = emptyForecast();
    for (let p = 0; p < periods.length; p++) {
      const slot = group * periods.length + p;
      const chances = pipeline.flatMap(({ probability, hours }) => (hours[slot] > 0 ? [{ hours: hours[slot], probability }] : []));
      addPeriod(forecast, { capacity: capacity[slot], firm: firm[slot], open: open[slot] }, chances);
    }
    return forecast;
  });
  return { periods, groups: reported, pipeline };
}

function addPeriod(into: GroupForecast, own: { capacity: number; firm: number; open: number }, chances: readonly Chance[]): void {
  const sure = own.firm + own.open;
  const distribution = new HoursDistribution(chances);
  const shortage = distribution.shortage(own.capacity - sure);
  into.capacity.push(own.capacity);
  into.firm.push(own.firm);
  into.open.push(own.open);
  into.expected.push(sure + expectedMinutes(chances));
  into.p50.push(sure + 60 * distribution.percentile(5_000));
  into.p80.push(sure + 60 * distribution.percentile(8_000));
  into.p95.push(sure + 60 * distribution.percentile(9_500));
  into.shortageProbability.push(shortage.probability);
  into.expectedShortage.push(shortage.minutes);
}

const emptyForecast = (): GroupForecast => ({
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
