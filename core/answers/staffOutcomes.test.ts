// A person joins or leaves effort-sized work: what gives, and that the rest holds.
import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { tangledPlan } from "../../tests/randomPlan.ts";
import { formatDay } from "../calendar/day.ts";
import { applyEdit } from "../edits/edit.ts";
import { buildModel } from "../model.ts";
import { type StaffWay, staffOutcomes } from "./staffOutcomes.ts";

const plan = fernhollow();
const model = buildModel(plan);
const SURVEY = "ravenholt-survey";
const labour = plan.assignments.filter(({ taskId }) => taskId === SURVEY);
const joins = { id: "new", taskId: SURVEY, personId: "mara" };
const by = (way: StaffWay) => staffOutcomes(model, { taskId: SURVEY, joins })?.outcomes.find((outcome) => outcome.way === way);

test("who joins makes the finish earlier, or everyone's day shorter, or the work more: one gives, the others hold", () => {
  const before = staffOutcomes(model, { taskId: SURVEY, joins })?.before;
  if (!before) throw new Error("the survey is effort-sized and has a person");
  const [finish, daily, work] = [by("finish"), by("daily"), by("work")];
  expect(finish?.finish).toBeLessThan(before.finish);
  expect(finish?.effort).toBe(before.effort);
  expect(daily?.finish).toBe(before.finish);
  expect(daily?.effort).toBe(before.effort);
  expect(work?.finish).toBe(before.finish);
  expect(work?.effort).toBeGreaterThan(before.effort);
  expect(work?.daily).toBeGreaterThan(before.daily);
});

test("taken, an outcome is one edit that leads just where it said", () => {
  for (const outcome of staffOutcomes(model, { taskId: SURVEY, joins })?.outcomes ?? []) {
    const made = applyEdit(plan, outcome.edit);
    if (!made.plan) throw new Error("the outcome fits the plan");
    const next = buildModel(made.plan);
    const row = made.plan.tasks.findIndex(({ id }) => id === SURVEY);
    expect(formatDay(next.schedule.of(row)?.finish.day as number), outcome.way).toBe(formatDay(outcome.finish));
    expect(made.plan.assignments.filter(({ taskId }) => taskId === SURVEY)).toHaveLength(labour.length + 1);
  }
});

test("there is nothing to ask where nobody shares the work, or where people do not decide how long it lasts", () => {
  expect(staffOutcomes(model, { taskId: "tidepool-scenic", joins: { ...joins, taskId: "tidepool-scenic" } })).toBeNull();
  const alone = applyEdit(plan, { kind: "deleteAssignment", id: labour[0].id });
  if (!alone.plan) throw new Error("the edit fits the plan");
  expect(staffOutcomes(buildModel(alone.plan), { taskId: SURVEY, leaves: labour[1].id })).toBeNull();
  expect(staffOutcomes(model, { taskId: SURVEY, leaves: labour[1].id })?.outcomes.map(({ way }) => way)).toEqual([
    "finish",
    "daily",
    "work",
  ]);
});

test("always: the effort holds unless it is what gives, the finish holds unless it is, and shared hours add up", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 150 }), (seed, percent) => {
      const made = tangledPlan(seed);
      const tangled = buildModel(made);
      for (const { id } of made.tasks.filter(({ sizing }) => sizing === "effort").slice(0, 3)) {
        const own = made.assignments.filter(({ taskId }) => taskId === id);
        const joined = staffOutcomes(tangled, { taskId: id, joins: { id: "new", taskId: id, personId: "p3", percent } });
        const left = own.length > 1 ? staffOutcomes(tangled, { taskId: id, leaves: own[0].id }) : null;
        for (const answer of [joined, left])
          for (const { way, effort, finish } of answer?.outcomes ?? []) {
            // Hours are shared out to the hundredth, minutes are whole: each share may be half a minute off.
            if (way !== "work") expect(Math.abs(effort - (answer?.before.effort ?? 0)), `${id} ${way}`).toBeLessThanOrEqual(own.length + 1);
            if (way === "daily") expect(finish, id).toBeLessThanOrEqual(answer?.before.finish ?? 0);
            if (way === "work" && answer === joined) expect(finish, id).toBeLessThanOrEqual(answer?.before.finish ?? 0);
          }
      }
    }),
    { numRuns: 25 },
  );
});
