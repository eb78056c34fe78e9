import { expect, test } from "vitest";
import { boardOf } from "../../core/answers/board.ts";
import { peopleLoads } from "../../core/answers/peopleLoads.ts";
import { parseDay } from "../../core/calendar/day.ts";
import { applyEdit } from "../../core/edits/edit.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { afterDrop } from "./afterDrop.ts";

const model = buildModel(fernhollow());
const query = { range: { start: parseDay("2027-01-25"), stop: parseDay("2027-03-22") }, grain: "week" as const };
const open = ["mara", "rui"];
const board = boardOf(model, { ...query, open });
const given = applyEdit(model.plan, { kind: "reassign", id: "rockpools-mara", personId: "rui" });
if (!given.plan) throw new Error("the demo plan lets rock pools be given to Rui");
const after = buildModel(given.plan);
const dropped = afterDrop(board, peopleLoads(after, { ...query, ids: ["rui", "mara"], open }));
const answered = boardOf(after, { ...query, open });

test("the rows of giver and taker show what the board will answer, and no other row changes", () => {
  for (const column of ["load", "peakOver", "state", "tentative"] as const) {
    const cells = (own: typeof board, key: string) => {
      const at = own.rows.findIndex((row) => row.key === key);
      return own[column].subarray(at * own.periods.length, (at + 1) * own.periods.length);
    };
    for (const { key, kind } of board.rows)
      expect(cells(dropped, key), `${column} of ${key}`).toEqual(cells(kind === "person" ? answered : board, key));
  }
  expect(dropped.load).not.toEqual(board.load);
});

test("the bars are those of the answer, and the board it was made on is left as it was", () => {
  expect(dropped.bars).toEqual(answered.bars);
  expect(dropped.bars).not.toEqual(board.bars);
  expect(board).toEqual(boardOf(model, { ...query, open }));
});
