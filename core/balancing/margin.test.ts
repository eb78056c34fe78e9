// The improvement of a margin is measured: the margin after is that of the plan with the edits made.
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { parseDay } from "../calendar/day.ts";
import { marginGoal, projectMargin } from "../cost/margin.ts";
import { applyEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { buildModel } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import { compareByMargin, searchForMargin } from "./margin.ts";
import type { Remedy } from "./remedies.ts";

const demo = fernhollow();
const today = parseDay("2027-01-29");
const options = { today, idStem: "lift" };
const swaps = (plan: typeof demo, projectId: string): Remedy[] =>
  [...searchForMargin(buildModel(plan), projectId, options)].flatMap((remedy) => remedy ?? []).sort(compareByMargin);
const goalOf = (projectId: string, marginTarget: number) => ({
  ...demo,
  projects: demo.projects.map((own) => (own.id === projectId ? { ...own, marginTarget } : own)),
});

test("each swap results in the margin it says, nobody is over again by it, and one alone reaches the goal", () => {
  const row = rowById(demo.projects).get("slowlight") ?? -1;
  const now = projectMargin(buildModel(demo), row) ?? 0;
  expect(now).toBeLessThan(marginGoal(demo, row) ?? 0);
  const found = swaps(demo, "slowlight");
  for (const { edits, marginAfter = 0, effect } of found) {
    const after = applyEdit(demo, togetherOf(edits, "lift")).plan;
    expect(projectMargin(buildModel(after ?? demo), row)).toBe(marginAfter);
    expect(marginAfter).toBeGreaterThan(now);
    expect(effect.grows).toEqual([]);
  }
  expect(found.map(({ marginAfter }) => marginAfter)).toEqual(found.map(({ marginAfter }) => marginAfter).sort((a = 0, b = 0) => b - a));
  expect(found[0].left).toBe(0);
  expect(found[0].steps).toHaveLength(1);
});

test("where one is not enough several are tried together, and what is missing to the goal is reported", () => {
  const [best, ...others] = swaps(goalOf("slowlight", 35), "slowlight");
  expect(best.steps.length).toBeGreaterThan(1);
  expect(best.left).toBe(3500 - (best.marginAfter ?? 0));
  expect(others.every(({ marginAfter = 0 }) => marginAfter <= (best.marginAfter ?? 0))).toBe(true);
});

test("nothing is proposed where there is no revenue, no project, or everything is locked", () => {
  expect(swaps(demo, "standing")).toEqual([]);
  expect(swaps(demo, "nothing")).toEqual([]);
  expect(swaps({ ...demo, people: demo.people.map((own) => ({ ...own, locked: true })) }, "slowlight")).toEqual([]);
});
