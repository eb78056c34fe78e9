import { expect, test } from "vitest";
import { parseDay } from "../../core/calendar/day.ts";
import { asTheyAre, clearedCells, filledCells } from "./blockCells.ts";
import { gridOf, gridRow } from "./gridFixture.ts";

const first = parseDay("2027-02-01");
const periods = [0, 1, 2].map((at) => ({ start: first + at * 7, stop: first + at * 7 + 7 }));
const marked = [gridRow("Cases", [600, 0, 90]), gridRow("Paint", [60, 120, 0])];

test("rows are taken as they are by now, not as they were marked; one that is gone is left out", () => {
  const rows = asTheyAre(gridOf(periods, [gridRow("Cases", [540, 0, 90])]), marked);
  expect(rows.map(({ assignmentId, minutesAt }) => [assignmentId, ...periods.map(minutesAt)])).toEqual([["Cases", 540, 0, 90]]);
  expect(asTheyAre(null, marked)).toEqual([]);
});

test("only cells with hours are cleared", () => {
  expect(clearedCells(asTheyAre(gridOf(periods, marked), marked), periods.slice(1))).toEqual([
    { assignmentId: "Cases", ...periods[2], hours: 0 },
    { assignmentId: "Paint", ...periods[1], hours: 0 },
  ]);
});

test("filling right takes each row's first cell, filling down each column's", () => {
  const rows = asTheyAre(gridOf(periods, marked), marked);
  expect(filledCells(rows, periods, "right").map(({ assignmentId, start, hours }) => [assignmentId, (start - first) / 7, hours])).toEqual([
    ["Cases", 1, 10],
    ["Cases", 2, 10],
    ["Paint", 1, 1],
    ["Paint", 2, 1],
  ]);
  expect(
    filledCells(rows, periods.slice(1), "down").map(({ assignmentId, start, hours }) => [assignmentId, (start - first) / 7, hours]),
  ).toEqual([
    ["Paint", 1, 0],
    ["Paint", 2, 1.5],
  ]);
});
