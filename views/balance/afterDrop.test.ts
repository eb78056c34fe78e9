import { expect, test } from "vitest";
import { parseDay } from "../../core/calendar/day.ts";
import { applyEdit } from "../../core/edits/edit.ts";
import { boardOf } from "../../core/load/board.ts";
import { peopleLoads } from "../../core/load/peopleLoads.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { afterDrop } from "./afterDrop.ts";

const model = buildModel(fernhollow());
const query = { range: { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") }, grain: "week" as const };
const view = { ...query, open: ["mara", "rui"] };
const board = boardOf(model, view);
const given = applyEdit(model.plan, { kind: "reassign", id: "rockpools-mara", personId: "rui" });
if (!given.plan) throw new Error("the demo plan lets rock pools be given to Rui");
const after = buildModel(given.plan);
const dropped = afterDrop({
  board,
  assignmentIds: ["rockpools-mara"],
  personId: "rui",
  loads: peopleLoads(after, { ...query, ids: ["rui", "mara"] }),
});
const answered = boardOf(after, view);

test("the rows of giver and taker show what the board will answer, and no other row changes", () => {
  expect(dropped.load).not.toEqual(board.load);
  board.rows.forEach((row, at) => {
    const cells = (own: typeof board) => own.load.subarray(at * own.periods.length, (at + 1) * own.periods.length);
    expect(cells(dropped), row.name).toEqual(cells(row.kind === "person" ? answered : board));
  });
});

test("the bar has gone from one to the other, in the order of starts", () => {
  const ids = (bars: typeof board.bars) =>
    Object.fromEntries(Object.entries(bars).map(([id, own]) => [id, own.map((bar) => bar.assignmentId)]));
  expect(ids(dropped.bars)).toEqual(ids(answered.bars));
  expect(ids(dropped.bars)).not.toEqual(ids(board.bars));
});

test("the board it was made on is left as it was", () => {
  expect(board).toEqual(boardOf(model, view));
});
