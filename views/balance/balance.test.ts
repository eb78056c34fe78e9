// The figures of cells and files of the board: the same ones, by every measure.
import { expect, test } from "vitest";
import { boardOf } from "../../core/answers/board.ts";
import { usualView } from "../../core/board/view.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { TICK, vesselParts } from "../../ui/vessel.tsx";
import { boardViewOf, measures, type ViewParams } from "./balanceParams.ts";
import { boardTable } from "./boardTable.ts";
import { cellText, figuresAt, figureText, rowSum, sumText } from "./figures.ts";

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

test("a group reports its room as the share that is used, a part its load alone", () => {
  const lighting = board.rows.findIndex(({ id }) => id === "lighting");
  const figures = figuresAt(board, lighting, week);
  // Four people, three of them over that week.
  expect(cellText(board.rows[lighting], "room", figures)).toBe("112%");
  expect(cellText(board.rows[lighting], "load", figures)).toBe(figureText("load", figures));
  expect(sumText(board.rows[lighting], "room", rowSum(board, lighting))).toBe("411.1");
  const projects = boardOf(model, { range, grain: "week", open: [], view: { ...usualView, rows: "projects" } });
  projects.rows.forEach((row, at) => {
    const { load } = figuresAt(projects, at, week);
    expect(cellText(row, "room", figuresAt(projects, at, week)), row.name).toBe(
      load === 0 ? "" : figureText("load", figuresAt(projects, at, week)),
    );
  });
});

test("a vessel fills with what is confirmed, then with what is not, and runs past its tick", () => {
  expect(vesselParts({ capacity: 100, load: 50 })).toEqual({ firm: TICK / 2, fill: TICK / 2, over: 0 });
  expect(vesselParts({ capacity: 100, load: 50, tentative: 50 })).toEqual({ firm: 0, fill: TICK / 2, over: 0 });
  const past = vesselParts({ capacity: 100, load: 125, tentative: 50 });
  expect([past.firm, past.fill, past.over].map((part) => Math.round(part))).toEqual([54, 72, 18]);
  expect(vesselParts({ capacity: 100, load: 900 }).over).toBe(100 - TICK);
  expect(vesselParts({ capacity: 0, load: 10 })).toEqual({ firm: 0, fill: 0, over: 100 });
});

test("the table for files has a row for each of the board's, with numbers that a spreadsheet reads", () => {
  for (const measure of measures) {
    const [head, ...rows] = boardTable(board, measure);
    expect(head.slice(3, 5)).toEqual(["2027-01-25", "2027-02-01"]);
    expect(rows).toHaveLength(board.rows.length);
    for (const row of rows)
      for (const cell of row.slice(3)) expect(Number.isFinite(Number(cell.replace("%", ""))), `${measure} ${cell}`).toBe(true);
  }
  const lighting = boardTable(board, "room").find(([name, kind]) => kind === "group" && name === "Lighting technician") ?? [];
  expect([lighting[week + 3], lighting.at(-1)]).toEqual(["112%", "411.1"]);
  expect(boardTable(board, "room")[ines + 1][week + 3]).toBe("-12.1");
});

test("an address that states nothing is the usual view", () => {
  const none = { role: "", skill: "", team: "", location: "", project: "", category: "", client: "", stage: "" };
  const params: ViewParams = { rows: "role", sort: "plan", show: "room", only: "all" as const, pencilled: true, pipeline: "none", ...none };
  expect(boardViewOf(params)).toEqual(usualView);
});
