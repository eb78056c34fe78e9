// The grid of rates: a row for each role, person and material, a column for each day on which rates change.
import { expect, test } from "vitest";
import { namesOf } from "../../core/plan/names.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { rateGrid } from "./rateGrid.ts";

const plan = fernhollow();
const [studio] = plan.rateTables;

test("a history is one row, and what is added to be typed into is there too", () => {
  const grid = rateGrid(studio.entries, namesOf(plan), { subjects: [], dates: [] });
  expect(grid.dates).toEqual(["", "2027-01-01", "2027-04-01"]);
  expect(grid.sections.map(({ id, rows }) => [id, rows.length])).toEqual([
    ["role", 8],
    ["person", 4],
    ["material", 6],
  ]);
  expect([...(grid.sections[0].rows.find(({ id }) => id === "role designer")?.entries.keys() ?? [])]).toEqual(grid.dates);
  const added = rateGrid(studio.entries, namesOf(plan), { subjects: [{ personId: "rui" }], dates: ["2027-07-01"] });
  expect(added.dates).toEqual(["", "2027-01-01", "2027-04-01", "2027-07-01"]);
  expect(added.sections[1].rows.find(({ id }) => id === "person rui")).toMatchObject({ name: "Rui Monteverde", entries: new Map() });
});
