import fc from "fast-check";
import { expect, test } from "vitest";
import { moneyBys } from "../../core/cost/moneyKeys.ts";
import type { TimeWindow } from "../../ui/timeWindow.ts";
import { grainOf, groupsFor, type MoneyParams, moneyQueryOf, placesOf, placeText } from "./moneyParams.ts";

const window: TimeWindow = { range: { start: 20_850, stop: 20_906 }, grain: "week" };
const horizon = { start: 20_000, stop: 21_000 };
const params: MoneyParams = { group: "task", cost: "labour", show: "cost", per: null, span: "window", of: [], pipeline: "full" };

test("columns are months at least, unless the address asks for finer ones", () => {
  expect(grainOf({ per: null }, window)).toBe("month");
  expect(grainOf({ per: "day" }, window)).toBe("day");
  expect(grainOf({ per: null }, { ...window, grain: "quarter" })).toBe("quarter");
});

test("a kind of cost applies to cost alone, and a budget is shown by groupings that have one as a whole", () => {
  expect(moneyQueryOf(params, window, horizon)).toMatchObject({ by: "task", kind: "labour", range: window.range });
  expect(moneyQueryOf({ ...params, show: "revenue" }, window, horizon)).toMatchObject({ by: "task", kind: "all" });
  expect(moneyQueryOf({ ...params, show: "left" }, window, horizon)).toMatchObject({ by: "project", kind: "all" });
  expect(groupsFor("left")).not.toContain("task");
  expect(moneyQueryOf({ ...params, span: "plan" }, window, horizon).range).toEqual(horizon);
});

test("always: a filter comes back from its text, and a text that is none is ignored", () => {
  fc.assert(
    fc.property(fc.constantFrom(...moneyBys), fc.string(), fc.string(), (by, key, noise) => {
      expect(placesOf([placeText({ by, key })])).toEqual([{ by, key }]);
      const known = moneyBys.some((own) => noise === own || noise.startsWith(`${own}:`));
      expect(placesOf([noise])).toHaveLength(known ? 1 : 0);
    }),
  );
});
