import { expect, test } from "vitest";
import { largePlan } from "../../demo/large.ts";
import { brokenRules } from "../../tests/plainRules.ts";
import { parseDay } from "../calendar/day.ts";
import { horizonOf } from "../calendar/horizon.ts";
import { applyEdit } from "../edits/edit.ts";
import { togetherOf } from "../edits/together.ts";
import { buildModel } from "../model.ts";
import type { Plan } from "../plan/schema.ts";
import { EvenOutSearch } from "./evenOut.ts";
import { EvenOutRestarts } from "./evenOutRestarts.ts";

const optionsOf = (plan: Plan, mostSteps: number) => ({
  window: horizonOf(plan),
  today: plan.settings.today === undefined ? null : parseDay(plan.settings.today),
  idStem: "even",
  mostSteps,
});

function searched(plan: Plan, mostSteps: number): EvenOutRestarts {
  const search = new EvenOutRestarts(buildModel(plan), optionsOf(plan, mostSteps));
  for (const _ of search.run());
  return search;
}

test.each([2, 3, 4, 5])("further attempts find what the first one misses, and every line holds every rule (seed %i)", (seed) => {
  const plan = largePlan({ people: 10, projects: 4, tasks: 50, assignments: 160, links: 30 }, seed);
  const first = new EvenOutSearch(buildModel(plan), optionsOf(plan, Number.POSITIVE_INFINITY));
  for (const _ of first.run());
  const search = searched(plan, first.progress().steps * 8);
  const { lines, after } = search.best.result();
  expect(after.window).toBeLessThan(first.progress().now);
  expect(search.best.progress().now).toBe(after.window);
  expect(search.attempts).toBeGreaterThan(1);
  expect(search.ended).toBe(after.window === 0 ? "level" : "time");
  let now = plan;
  for (const { edits } of lines) {
    const { plan: next } = applyEdit(now, togetherOf(edits, "line"));
    if (!next) throw new Error("a line cannot be applied after those before it");
    expect(brokenRules(now, next)).toEqual([]);
    now = next;
  }
});

test("where nobody is over it ends at once, as level", () => {
  const plan = { ...largePlan({ people: 4, projects: 1, tasks: 4, assignments: 4, links: 0 }, 1), assignments: [] };
  const search = searched(plan, 10_000);
  expect([search.ended, search.attempts]).toEqual(["level", 1]);
});
