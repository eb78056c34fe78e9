import fc from "fast-check";
import { expect, test } from "vitest";
import { CASES_BETWEEN, type HorizonParams, horizonParams, horizonQueryOf, levelOf } from "./horizonParams.ts";

const aCase = fc.record({
  projectId: fc.string({ minLength: 1, unit: "grapheme" }),
  outcome: fc.constantFrom("won" as const, "lost" as const, null),
  days: fc.integer({ min: -20_000, max: 20_000 }),
});

test("always: cases of the pipeline come back from the address", () => {
  fc.assert(
    fc.property(fc.array(aCase, { minLength: 1, maxLength: 5 }), (cases) => {
      expect(horizonParams.cases.parse(horizonParams.cases.serialize(cases))).toEqual(cases);
    }),
  );
});

test("always: an address of any text is read without a failure, and moves no project by more than 20,000 days", () => {
  const noise = fc.string({ unit: fc.constantFrom("a", ":", CASES_BETWEEN, "%", "E", "9", "won", "-", ".", " ") });
  fc.assert(
    fc.property(noise, (text) => {
      for (const { projectId, days } of horizonParams.cases.parse(text) ?? []) {
        expect(projectId).not.toBe("");
        expect(Number.isInteger(days) && Math.abs(days) <= 20_000).toBe(true);
      }
    }),
  );
});

test("a level outside 1 to 5 is the nearest one, and the forecast does not begin before today", () => {
  expect([0, 3, 9].map((level) => levelOf({ level }))).toEqual([1, 3, 5]);
  const params: HorizonParams = { per: "month", span: "plan", by: "skill", level: 9, show: "left", pipeline: "full", cases: [] };
  const window = { range: { start: 40, stop: 60 }, grain: "week" as const };
  expect(horizonQueryOf(params, window, { start: 10, stop: 100 }, 30)).toMatchObject({ range: { start: 30, stop: 100 }, level: 5 });
  expect(horizonQueryOf(params, window, { start: 10, stop: 100 }, 500).range).toEqual({ start: 99, stop: 100 });
  expect(horizonQueryOf({ ...params, span: "window" }, window, { start: 10, stop: 100 }, 50).range).toEqual(window.range);
});
