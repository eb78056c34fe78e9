// What cells and files say of the board: the same figures, by every measure.
import { expect, test } from "vitest";
import { parseDay } from "../../core/calendar/day.ts";
import { boardOf } from "../../core/load/board.ts";
import { usualView } from "../../core/load/boardView.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { boardViewOf, measures, type ViewParams } from "./balanceParams.ts";
import { boardTable } from "./boardTable.ts";
import { figuresAt, figureText, rowSum } from "./figures.ts";

const model = buildModel(fernhollow());
const range = { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") };
const board = boardOf(model, { range, grain: "week", open: [], countsTasks: true });
const ines = board.rows.findIndex(({ id }) => id === "ines");
const week = board.periods.findIndex(({ start }) => start === parseDay("2027-02-22"));

test("a cell says room, load, share, capacity, full-time equivalents or tasks of the same figures", () => {
  const figures = figuresAt(board, ines, week);
  const shown = Object.fromEntries(measures.map((measure) => [measure, figureText(measure, figures)]));
  // 44.1 hours of 32, in a week of 40 full-time hours, on four tasks.
  expect(shown).toEqual({ room: "−12.1", load: "44.1", share: "138%", capacity: "32", fte: "1.10", tasks: "4" });
  expect(figureText("share", { ...figures, capacity: 0 })).toBe("–");
});

test("the sum of a row adds up its cells, but tasks, which last through several", () => {
  const cells = board.periods.map((_, period) => figuresAt(board, ines, period));
  const sum = rowSum(board, ines);
  expect(sum.load).toBe(cells.reduce((total, { load }) => total + load, 0));
  expect(sum.tasks).toBe(Math.max(...cells.map(({ tasks }) => tasks)));
});

test("the table for files has a row for each of the board's, with numbers that a spreadsheet reads", () => {
  for (const measure of measures) {
    const [head, ...rows] = boardTable(board, measure);
    expect(head.slice(3, 5)).toEqual(["2027-01-25", "2027-02-01"]);
    expect(rows).toHaveLength(board.rows.length);
    for (const row of rows) for (const cell of row.slice(3)) expect(Number.isFinite(Number(cell)), `${measure} ${cell}`).toBe(true);
  }
  expect(boardTable(board, "room")[ines + 1][week + 3]).toBe("-12.1");
});

test("an address that states nothing is the usual view", () => {
  const none = { role: "", skill: "", team: "", location: "", project: "", category: "", client: "", stage: "" };
  const params: ViewParams = { rows: "role", sort: "plan", show: "room", pencilled: true, pipeline: "none", ...none };
  expect(boardViewOf(params)).toEqual(usualView);
});
