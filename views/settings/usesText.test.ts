import { expect, test } from "vitest";
import { namedLists, usesOf } from "../../core/plan/namedLists.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { countOfUse, usesText } from "./usesText.ts";

test("one of something is reported as one, and nothing as nothing", () => {
  expect(countOfUse({ list: "enquiries", count: 1 })).toBe("1 enquiry");
  expect(countOfUse({ list: "people", count: 1 })).toBe("1 person");
  expect(usesText({ uses: [] })).toBe("nothing");
  const uses = [
    { list: "people", count: 6, names: [] },
    { list: "rateTables", count: 4, names: [] },
  ] as const;
  expect(usesText({ uses: uses.map((use) => ({ ...use, names: [] })) })).toBe("6 people, 4 rate tables");
});

test("everything that uses a name in the demo plan is reported in words of the trade", () => {
  const plan = fernhollow();
  const reported = new Set(
    namedLists.flatMap((list) => [...usesOf(plan, list).values()].flat().map((use) => countOfUse({ ...use, count: 2 }))),
  );
  expect([...reported].sort()).toEqual(
    ["2 assignments", "2 enquiries", "2 people", "2 projects", "2 rate tables", "2 requests", "2 tasks", "2 templates"].sort(),
  );
});
