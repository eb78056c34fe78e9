// The forecast against all outcomes written out one by one, and the earliest start against plans moved and built again.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyChanges } from "../edits/change.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { loadReport } from "../reports/load.ts";
import { type Chance, expectedMinutes, HoursDistribution } from "./distribution.ts";
import { earliestStarts } from "./earliest.ts";
import { forecastOf } from "./forecast.ts";
import { helpsFor } from "./helps.ts";
import { movedProject } from "./movedProject.ts";

const demo = fernhollow();
const horizon = horizonOf(demo);
const sum = (amounts: Iterable<number>) => [...amounts].reduce((all, own) => all + own, 0);

/** Every outcome by itself in integers: weights by hours, out of 10,000 to the power of the number of chances. */
function plainOutcomes(chances: readonly Chance[]): { weights: Map<number, bigint>; whole: bigint } {
  const weights = new Map<number, bigint>();
  for (let won = 0; won < 2 ** chances.length; won++) {
    const isWon = (at: number) => ((won >> at) & 1) === 1;
    const hours = sum(chances.map((own, at) => (isWon(at) ? own.hours : 0)));
    const weight = chances.reduce((all, own, at) => all * BigInt(isWon(at) ? own.probability : 10_000 - own.probability), 1n);
    weights.set(hours, (weights.get(hours) ?? 0n) + weight);
  }
  return { weights, whole: 10_000n ** BigInt(chances.length) };
}

const likelihood = fc.oneof(fc.constantFrom(0, 1_000, 2_000, 2_500, 5_000, 8_000, 9_500, 10_000), fc.integer({ min: 0, max: 10_000 }));
const chance: fc.Arbitrary<Chance> = fc.record({ hours: fc.integer({ min: 0, max: 30 }), probability: likelihood });

test("percentiles, probability and expected shortage are those of every outcome by itself, to the last unit", () => {
  fc.assert(
    fc.property(fc.array(chance, { maxLength: 8 }), fc.integer({ min: -600, max: 6_000 }), (chances, free) => {
      const { weights, whole } = plainOutcomes(chances);
      const outcomes = [...weights].sort(([a], [b]) => a - b);
      const distribution = new HoursDistribution(chances);
      for (const share of [5_000, 8_000, 9_500]) {
        let reached = 0n;
        const [least] = outcomes.find(([, weight]) => {
          reached += weight;
          return reached * 10_000n >= BigInt(share) * whole;
        }) as [number, bigint];
        expect(distribution.percentile(share), `percentile ${share}`).toBe(least);
      }
      const over = outcomes.filter(([hours]) => hours * 60 > free);
      const rounded = (numerator: bigint) => Number((2n * numerator + whole) / (2n * whole));
      expect(distribution.shortage(free)).toEqual({
        probability: rounded(over.reduce((all, [, weight]) => all + weight, 0n) * 10_000n),
        minutes: rounded(over.reduce((all, [hours, weight]) => all + weight * BigInt(hours * 60 - free), 0n)),
      });
      expect(expectedMinutes(chances)).toBe(rounded(outcomes.reduce((all, [hours, weight]) => all + weight * BigInt(hours * 60), 0n)));
      const all = distribution.probabilities();
      expect(all.findIndex((own, hours) => Math.abs(own - Number(weights.get(hours) ?? 0n) / Number(whole)) > 5e-13)).toBe(-1);
    }),
    { numRuns: 300 },
  );
});

test("two projects with the same steps decide a percentile by integers, regardless of the sums of doubles", () => {
  // No hours: 0.5 × 0.4, which is 0.2 exactly.
  const chances = [
    { hours: 3, probability: 5_000 },
    { hours: 5, probability: 6_000 },
  ];
  expect(new HoursDistribution(chances).percentile(2_000)).toBe(0);
  expect(new HoursDistribution(chances).percentile(2_001)).toBe(3);
  expect(new HoursDistribution([{ hours: 4, probability: 2_000 }]).percentile(8_000)).toBe(0);
});

test("firm demand is the load of the people of a role, and what each pipeline project adds is its probability of it", () => {
  const model = buildModel(demo);
  const asked = { range: horizon, grain: "month" } as const;
  const { groups: roles, pipeline } = forecastOf(model, asked);
  const report = loadReport(model, asked, { pencilled: true, pipeline: "none" });
  roles.forEach(({ firm, open, capacity, expected }, role) => {
    expect(firm).toEqual(report.roles[role].load);
    expect(capacity).toEqual(report.roles[role].capacity);
    report.roles[role].openings.forEach((minutes, p) => {
      expect(open[p]).toBeGreaterThanOrEqual(minutes);
    });
    expected.forEach((minutes, p) => {
      const more = sum(pipeline.map(({ probability, hours }) => (probability / 10_000) * hours[role * firm.length + p] * 60));
      expect(Math.abs(minutes - firm[p] - open[p] - more)).toBeLessThanOrEqual(0.5001);
    });
  });
});

test("a probability of 0 adds nothing and one of 100 is sure; a role with nobody lacks all that is asked of it", () => {
  const at = (probability: number): Plan => ({
    ...demo,
    roles: [...demo.roles, { id: "pilot", name: "Pilot" }],
    assignments: [...demo.assignments, { id: "fly", taskId: "tidepool-cases", roleId: "pilot", hours: 12 }],
    projects: demo.projects.map((own) => (own.stage === "pipeline" ? { ...own, probability } : own)),
  });
  const of = (plan: Plan) => forecastOf(buildModel(plan), { range: horizon, grain: "quarter" }).groups;
  const [never, sure] = [of(at(0)), of(at(100))];
  for (const { firm, open, expected, p50, p95, shortageProbability } of never)
    firm.forEach((minutes, p) => {
      expect([expected[p], p50[p], p95[p]]).toEqual([minutes + open[p], minutes + open[p], minutes + open[p]]);
      expect([0, 10_000]).toContain(shortageProbability[p]);
    });
  for (const { p50, p95, expected } of sure) {
    expect(p50).toEqual(p95);
    expect(p50).toEqual(expected);
  }
  const pilot = never[demo.roles.length];
  expect(sum(pilot.capacity)).toBe(0);
  expect(sum(pilot.expectedShortage)).toBe(720);
  expect(Math.max(...pilot.shortageProbability)).toBe(10_000);
});

test("40 pipeline projects at once are summed exactly, in whole hours", () => {
  const chances = Array.from({ length: 40 }, (_, at) => ({ hours: 10 + at, probability: (at % 10) * 1_000 }));
  const probabilities = new HoursDistribution(chances).probabilities();
  expect(sum(probabilities)).toBeCloseTo(1, 10);
  const mean = sum([...probabilities].map((probability, hours) => probability * hours));
  expect(mean * 60).toBeCloseTo(expectedMinutes(chances), 6);
});

test("each week of the earliest start is that of the plan moved there and built again; where it is now nothing moves", () => {
  const model = buildModel(demo);
  const row = demo.projects.findIndex(({ id }) => id === "seedvault");
  const weeks = [...earliestStarts(model, row)];
  expect(weeks[0].start).toBe(parseDay("2026-10-05"));
  for (const at of [0, 7, 24, weeks.length - 1]) {
    const { start, finish, shortage } = weeks[at];
    const days = start - parseDay(demo.projects[row].start);
    const plan = applyChanges(demo, movedProject(demo, row, days));
    const moved = buildModel(plan);
    expect(finish).toBe(moved.schedule.projects[row].finish.day);
    expect([...earliestStarts(moved, row)].find((own) => own.start === start)?.shortage).toBe(shortage);
  }
  expect(movedProject(demo, row, 0)).toEqual([]);
  const back = applyChanges(
    applyChanges(demo, movedProject(demo, row, 35)),
    movedProject(applyChanges(demo, movedProject(demo, row, 35)), row, -35),
  );
  expect(back).toEqual(demo);
});

test("what would help a role is what the forecast says with it, and nothing is proposed where nothing lacks", () => {
  const model = buildModel(demo);
  const asked = { range: horizon, grain: "month" } as const;
  const lighting = demo.roles.findIndex(({ id }) => id === "lighting");
  const helps = helpsFor(model, { by: "role", level: 1, key: "lighting" }, asked);
  const shortage = (plan: Plan) => sum(forecastOf(buildModel(plan), asked).groups[lighting].expectedShortage);
  expect(helps.length).toBeGreaterThan(2);
  for (const { help, before, after, cost } of helps) {
    expect(before.own).toBe(shortage(demo));
    expect(after.own).toBeLessThan(before.own);
    if (help.kind === "hire") {
      expect(cost ?? 0).toBeGreaterThan(0);
      continue;
    }
    if (help.kind !== "later") continue;
    const row = demo.projects.findIndex(({ id }) => id === help.projectId);
    expect(after.own).toBe(shortage(applyChanges(demo, movedProject(demo, row, help.days))));
  }
  expect(helpsFor(model, { by: "role", level: 1, key: "lead" }, asked)).toEqual([]);
});
