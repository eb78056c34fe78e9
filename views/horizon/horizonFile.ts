// The horizon as a table of texts, for files: every figure of every group by period, hours and shares as numbers.

import type { Redacted } from "../../client/seen.ts";
import type { HorizonAnswer, HorizonGroup } from "../../core/answers/horizon.ts";
import { formatDay } from "../../core/calendar/day.ts";
import type { ForecastBy } from "../../core/forecast/groups.ts";
import { hoursOf } from "../../ui/format.ts";
import { groupName, groupWords } from "./groupWords.ts";

type Figure = [name: string, of: (group: HorizonGroup, p: number) => number];

const figures: readonly Figure[] = [
  ["Capacity, h", ({ capacity }, p) => hoursOf(capacity[p])],
  ["Assigned, h", ({ firm }, p) => hoursOf(firm[p])],
  ["Unassigned, h", ({ open }, p) => hoursOf(open[p])],
  ["Expected demand, h", ({ expected }, p) => hoursOf(expected[p])],
  ["Needed, 50% confidence, h", ({ p50 }, p) => hoursOf(p50[p])],
  ["Needed, 80% confidence, h", ({ p80 }, p) => hoursOf(p80[p])],
  ["Needed, 95% confidence, h", ({ p95 }, p) => hoursOf(p95[p])],
  ["Probability of a shortage, %", ({ shortageProbability }, p) => shortageProbability[p] / 100],
  ["Expected shortage, h", ({ expectedShortage }, p) => hoursOf(expectedShortage[p])],
  ["People short at 80% confidence", ({ peopleShort }, p) => peopleShort[p] / 10],
];

export function horizonFile({ groups, periods }: Redacted<HorizonAnswer>, by: ForecastBy): string[][] {
  return [
    [groupWords[by], "Figure", ...periods.map(({ start }) => formatDay(start))],
    ...groups.flatMap((group) => figures.map(([name, of]) => [groupName(group), name, ...periods.map((_, p) => String(of(group, p)))])),
  ];
}
