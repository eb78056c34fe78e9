// The horizon as a table of texts, for files: every figure of every role by period, hours and shares as numbers.
import type { HorizonAnswer, HorizonRole } from "../../core/answers/horizon.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { hoursOf } from "../../ui/format.ts";

type Figure = [name: string, of: (role: HorizonRole, p: number) => number];

const figures: readonly Figure[] = [
  ["Capacity, h", ({ capacity }, p) => hoursOf(capacity[p])],
  ["Assigned, h", ({ firm }, p) => hoursOf(firm[p])],
  ["Unassigned, h", ({ open }, p) => hoursOf(open[p])],
  ["Expected demand, h", ({ expected }, p) => hoursOf(expected[p])],
  ["Demand, 5 in 10 sure, h", ({ p50 }, p) => hoursOf(p50[p])],
  ["Demand, 8 in 10 sure, h", ({ p80 }, p) => hoursOf(p80[p])],
  ["Demand, 95 in 100 sure, h", ({ p95 }, p) => hoursOf(p95[p])],
  ["Chance of a shortage, %", ({ shortageProbability }, p) => shortageProbability[p] / 100],
  ["Expected shortage, h", ({ expectedShortage }, p) => hoursOf(expectedShortage[p])],
  ["People short, 8 in 10 sure", ({ peopleShort }, p) => peopleShort[p] / 10],
];

export function horizonFile({ roles, periods }: HorizonAnswer): string[][] {
  return [
    ["Role", "Figure", ...periods.map(({ start }) => formatDay(start))],
    ...roles.flatMap((role) => figures.map(([name, of]) => [role.name, name, ...periods.map((_, p) => String(of(role, p)))])),
  ];
}
