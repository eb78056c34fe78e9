// Every question that screens ask: answered on any plan, the same each time, and able to cross into the worker and back.
import { expect, test } from "vitest";
import { buildModel, type Model } from "../core/model.ts";
import { FULL_ACCESS } from "../core/plan/moneySides.ts";
import type { Plan } from "../core/plan/schema.ts";
import { fernhollow } from "../demo/fernhollow.ts";
import { idsOf, queriesFor } from "../tests/everyQuestion.ts";
import { expectSame } from "../tests/expectSame.ts";
import { tangledPlan } from "../tests/randomPlan.ts";
import { trackedPlan } from "../tests/trackedPlan.ts";
import { comeAsText, dataOf } from "./initial.ts";
import type { Question } from "./questions.ts";
import { answer } from "./redacted.ts";

/** Asks everything. @returns How many answers there were that say something. */
function askAll(model: Model): number {
  let said = 0;
  for (const [question, queries] of Object.entries(queriesFor(idsOf(model.plan))) as [Question, never[]][])
    for (const query of queries) {
      const found = answer(model, question, query, FULL_ACCESS);
      const crossed = structuredClone(found);
      expectSame(crossed, found, `${question} ${JSON.stringify(query)}`);
      if (comeAsText.has(question))
        expectSame(dataOf({ sketchId: null, revision: 1, key: "", text: JSON.stringify(found) }), found, question);
      expectSame(answer(model, question, structuredClone(query), FULL_ACCESS), found, question);
      if (found !== null) said++;
    }
  return said;
}

test("on the demo plan every question has an answer, and answers cross unharmed", () => {
  expect(askAll(buildModel(fernhollow()))).toBeGreaterThan(35);
});

test("a plan with nothing in it is no error to any of them", () => {
  const { settings, calendars, ...lists } = fernhollow();
  const empty = Object.fromEntries(Object.entries(lists).map(([key, list]) => [key, Array.isArray(list) ? [] : list]));
  expect(askAll(buildModel({ ...empty, settings, calendars: calendars.slice(0, 1) } as unknown as Plan))).toBeGreaterThan(15);
});

test.each([3, 4])("nor is one in which everything is tangled (seed %i)", (seed) => {
  expect(askAll(buildModel(tangledPlan(seed)))).toBeGreaterThan(30);
});

test.each([5, 6, 7])("nor is one whose past is recorded (seed %i)", (seed) => {
  expect(askAll(buildModel(trackedPlan(seed)))).toBeGreaterThan(30);
});

test("the frame counts what waits for an answer", () => {
  const plan = fernhollow();
  const { requests, asked, counts } = answer(buildModel(plan), "frame", {}, FULL_ACCESS);
  expect(requests).toBe(plan.people.flatMap(({ timeOff = [] }) => timeOff).filter(({ state }) => state === "requested").length);
  expect([asked, counts.people, counts.tasks]).toEqual([0, 29, plan.tasks.length]);
});
