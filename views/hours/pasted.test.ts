import { expect, test } from "vitest";
import type { HoursRow } from "../../core/answers/hoursGrid.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { gridRow } from "./gridFixture.ts";
import { pastedCells, readHours } from "./pasted.ts";

const first = parseDay("2027-02-01");
const periods = [0, 1, 2].map((at) => ({ start: first + at * 7, stop: first + at * 7 + 7 }));
const row = (taskName: string, fault: HoursRow["fault"] = null) => gridRow(taskName, [600, 0, 90], fault);

test("hours are read with a point or a comma, with their unit; nothing and a dash are none", () => {
  expect(["7.5", "7,5 h", " 8H", "", "–", "0"].map((text) => readHours(text)?.value)).toEqual([7.5, 7.5, 8, 0, 0, 0]);
  expect(["x", "-3", "1e9", "7:30"].map(readHours)).toEqual([null, null, null, null]);
});

test("a block goes into the cells from where it begins; cells that say the same already stay", () => {
  const { cells, refused } = pastedCells([row("Cases"), row("Paint")], periods.slice(1), [
    ["4", "1,5"],
    ["", "12"],
  ]);
  expect(cells).toEqual([
    { assignmentId: "Cases", ...periods[1], hours: 4 },
    { assignmentId: "Paint", ...periods[2], hours: 12 },
  ]);
  expect(refused).toEqual([]);
});

test("what does not fit is reported cell by cell, and the rest is typed", () => {
  const { cells, refused } = pastedCells([row("Cases"), row("Effort", "byEffort")], periods.slice(2), [["8", "9"], ["2"], ["5"]]);
  expect(cells).toEqual([{ assignmentId: "Cases", ...periods[2], hours: 8 }]);
  expect(refused).toEqual([
    { where: "Effort, Mara, week of 15 February", why: expect.stringContaining("lasts as long as its people need") },
    { where: "2 cells", why: expect.stringContaining("Outside the rows and columns") },
  ]);
  expect(pastedCells([row("Cases")], periods, [["soon"]]).refused).toEqual([
    { where: "Cases, Mara, week of 1 February", why: "“soon” is not a number of hours." },
  ]);
});
