// Plans that would stop everyone else are refused with a sentence and its place, before anything is computed from them.

import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { randomFrom } from "../../demo/random.ts";
import { mutated } from "../../tests/mutated.ts";
import { buildModel } from "../model.ts";
import { isNestedDeeper } from "../values/nesting.ts";
import { checkPlan } from "./check.ts";
import { MOST_LEVELS, MOST_NESTING, MOST_SUGGESTIONS } from "./limits.ts";
import { parsePlan, parsePlanValue } from "./parse.ts";
import type { Plan } from "./schema.ts";

const faultsOf = (change: (plan: Plan) => void): string[] => {
  const plan = structuredClone(fernhollow());
  change(plan);
  return parsePlanValue(plan).faults.map(({ place, message }) => `${place}: ${message}`);
};

test("a text of brackets is refused at the first that is too deep, wherever it is", () => {
  for (const text of ["[".repeat(5_000_000), `{"a":${"[".repeat(60)}`, `{"a":"]]","b":${'{"c":'.repeat(45)}1`])
    expect(parsePlan(text).faults[0].message).toMatch(/not JSON \(brackets are nested more than 40 deep/);
  expect(isNestedDeeper(`"${"[".repeat(90)}\\"${"[".repeat(90)}"`, MOST_NESTING)).toBe(false);
  expect(isNestedDeeper("[]".repeat(500), MOST_NESTING)).toBe(false);
});

test("a plan file may begin with a mark of its encoding", () => {
  expect(parsePlan(`\uFEFF${JSON.stringify(fernhollow())}`).plan).toEqual(fernhollow());
});

const refused: [string, (plan: Plan) => void, RegExp][] = [
  [
    "a week of moments",
    (plan) => (plan.calendars[0].week = [0.008, 0, 0, 0, 0, 0, 0]),
    /^calendars\[0\]\.week: .*give one day a minute or more/,
  ],
  ["a horizon of centuries", (plan) => (plan.settings.planEnd = "2199-12-31"), /^settings\.planEnd: .*more than 30 years/],
  [
    "a hundred thousand skills of a task",
    (plan) => (plan.tasks[0].skills = Array.from({ length: 100_000 }, () => ({ skillId: "cnc", level: 1 }))),
    /^tasks\[0\]\.skills: is too long; it may have 200 at most/,
  ],
  [
    "an outline that nobody can read",
    (plan) => {
      const [{ projectId }] = plan.tasks;
      plan.tasks = Array.from({ length: 5_000 }, (_, at) => ({
        id: `t${at}`,
        projectId,
        name: "T",
        ...(at > 0 && { parentId: `t${at - 1}` }),
      }));
      plan.assignments = [];
      plan.links = [];
      plan.comments = [];
      plan.requests = [];
      plan.expenses = [];
    },
    new RegExp(`^tasks\\[\\d+\\]\\.parentId: is more than ${MOST_LEVELS} levels deep`),
  ],
  ["an id of a page", (plan) => (plan.roles[0].id = "x".repeat(5_000)), /^roles\[0\]\.id: is too long/],
];

test.each(refused)("%s is refused with its place", (_, change, says) => {
  expect(faultsOf(change).some((line) => says.test(line))).toBe(true);
});

test("every fault of a file is reported in sentences, and what passes is computed (seeds 1 to 60)", () => {
  let [refusedCount, computed] = [0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    const random = randomFrom(seed);
    const { plan, faults } = parsePlan(JSON.stringify(mutated(fernhollow(), random, 1 + random.below(3))));
    for (const { message } of faults) expect(message, `seed ${seed}`).toMatch(/[.;?]/);
    if (!plan) refusedCount++;
    else if (buildModel(plan).placements.asked.every(Number.isFinite)) computed++;
  }
  expect(refusedCount).toBeGreaterThan(10);
  expect(computed).toBeGreaterThan(5);
  expect(refusedCount + computed).toBe(60);
});

test("of many wrong references all are reported, and the first ones with what was most likely meant", () => {
  const faults = faultsOf((plan) => {
    for (const task of plan.tasks.slice(0, 200)) task.roleId = "fabricatr";
  });
  expect(faults).toHaveLength(200);
  expect(faults.filter((line) => line.includes('Did you mean "fabricator"?'))).toHaveLength(MOST_SUGGESTIONS);
});

test("a week of 6-minute days is sound, and work is placed on it", () => {
  const plan = fernhollow();
  const short = { ...plan, calendars: plan.calendars.map((own) => ({ ...own, week: [0.1, 0, 0, 0, 0, 0, 0] })) };
  expect(checkPlan(short)).toEqual([]);
  expect(buildModel(short).schedule.projects.length).toBe(plan.projects.length);
});
