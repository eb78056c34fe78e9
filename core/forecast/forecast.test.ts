// The forecast against all outcomes written out one by one, and the earliest start against plans moved and built anew.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyChanges } from "../edits/change.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { loadReport } from "../reports/load.ts";
import { type Chance, distributionOf, expectedHours, percentile } from "./distribution.ts";
import { earliestStarts } from "./earliest.ts";
import { forecastOf } from "./forecast.ts";
import { helpsFor } from "./helps.ts";
import { movedProject } from "./movedProject.ts";

const demo = fernhollow();
const horizon = horizonOf(demo);
const sum = (amounts: Iterable<number>) => [...amounts].reduce((all, own) => all + own, 0);

test("the distribution is that of every outcome by itself: it adds up to one, and its mean is the expected demand", () => {
  const chance = fc.record({ hours: fc.integer({ min: 0, max: 60 }), probability: fc.constantFrom(0, 0.1, 0.25, 0.4, 0.5, 0.9, 1) });
  fc.assert(
    fc.property(fc.array(chance, { maxLength: 9 }), (chances: Chance[]) => {
      const plain = new Map<number, number>();
      for (let won = 0; won < 2 ** chances.length; won++) {
        const isWon = (at: number) => ((won >> at) & 1) === 1;
        const hours = sum(chances.map((own, at) => (isWon(at) ? own.hours : 0)));
        const probability = chances.reduce((all, own, at) => all * (isWon(at) ? own.probability : 1 - own.probability), 1);
        plain.set(hours, (plain.get(hours) ?? 0) + probability);
      }
      const distribution = distributionOf(chances);
      expect(distribution.findIndex((probability, hours) => Math.abs(probability - (plain.get(hours) ?? 0)) > 5e-13)).toBe(-1);
      expect(sum(distribution)).toBeCloseTo(1, 12);
      expect(sum([...distribution].map((probability, hours) => probability * hours))).toBeCloseTo(expectedHours(chances), 9);
      for (const share of [0.5, 0.8, 0.95]) {
        const reached = percentile(distribution, share);
        expect(sum(distribution.subarray(0, reached + 1))).toBeGreaterThanOrEqual(share - 1e-8);
        if (reached > 0) expect(sum(distribution.subarray(0, reached))).toBeLessThan(share);
      }
    }),
    { numRuns: 60 },
  );
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
      const more = sum(pipeline.map(({ probability, hours }) => probability * hours[role * firm.length + p] * 60));
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

test("40 pipeline projects at once are told exactly, in whole hours", () => {
  const chances = Array.from({ length: 40 }, (_, at) => ({ hours: 10 + at, probability: (at % 10) / 10 }));
  const distribution = distributionOf(chances);
  expect(sum(distribution)).toBeCloseTo(1, 10);
  expect(sum([...distribution].map((probability, hours) => probability * hours))).toBeCloseTo(expectedHours(chances), 6);
});

test("each week of the earliest start is that of the plan moved there and built anew; where it stands now nothing moves", () => {
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
      expect(cost).toBeGreaterThan(0);
      continue;
    }
    if (help.kind !== "later") continue;
    const row = demo.projects.findIndex(({ id }) => id === help.projectId);
    expect(after.own).toBe(shortage(applyChanges(demo, movedProject(demo, row, help.days))));
  }
  expect(helps.map(({ after }) => after.own)).toEqual(helps.map(({ after }) => after.own).sort((a, b) => a - b));
  expect(helpsFor(model, { by: "role", level: 1, key: "lead" }, asked)).toEqual([]);
});
