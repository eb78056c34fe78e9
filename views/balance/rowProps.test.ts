import fc from "fast-check";
import { expect, test } from "vitest";
import { type Board, boardOf } from "../../core/answers/board.ts";
import { buildModel } from "../../core/model.ts";
import { fernhollow } from "../../demo/fernhollow.ts";
import { isSameRow, type RowProps } from "./rowProps.ts";

const model = buildModel(fernhollow());
const query = { range: { start: 20_850, stop: 20_906 }, grain: "week" as const, open: [] };
const board = boardOf(model, query);
const nothing = () => {};
const acts = { toggle: nothing, select: nothing, pick: nothing, reassign: nothing, shift: nothing, remedyIn: nothing };
const phrases = board.periods.map(String);

const propsOf = (own: Board, at: number): RowProps => ({
  ...{ at, top: at * 40, height: 40, column: 70, firstColumn: 0, columnCount: 8, phrases, active: null, isDropTarget: false },
  ...{ preview: null, board: own, measure: "room", isOpen: false, selected: null, differs: null, former: [], picked: null, acts },
});
const former: RowProps["former"] = [];
const same = (a: Board, b: Board, at: number) => isSameRow({ ...propsOf(a, at), former }, { ...propsOf(b, at), former });

test("a board that is computed again draws every row alike", () => {
  const again = boardOf(buildModel(fernhollow()), query);
  for (let at = 0; at < board.rows.length; at++) expect(same(board, again, at), String(at)).toBe(true);
});

test("always: a row is drawn again if one of its figures changes, and no other row is", () => {
  const names = ["capacity", "load", "peakOver", "tentative", "state", "open"] as const;
  const count = board.periods.length;
  fc.assert(
    fc.property(
      fc.constantFrom(...names),
      fc.nat({ max: board.filled - 1 }),
      fc.nat({ max: count - 1 }),
      fc.nat({ max: board.filled - 1 }),
      (name, at, period, other) => {
        const figures = board[name].slice();
        figures[at * count + period] += 1;
        const changed = { ...board, [name]: figures };
        expect(same(board, changed, at)).toBe(false);
        if (other !== at) expect(same(board, changed, other)).toBe(true);
      },
    ),
  );
});

test("a row is drawn again for another focus, drop target or measure", () => {
  const props = { ...propsOf(board, 1), former };
  expect(isSameRow(props, { ...props })).toBe(true);
  expect(isSameRow(props, { ...props, active: 2 })).toBe(false);
  expect(isSameRow(props, { ...props, isDropTarget: true })).toBe(false);
  expect(isSameRow(props, { ...props, measure: "load" })).toBe(false);
});
