import fc from "fast-check";
import { expect, test } from "vitest";
import { afterStep, historyOf } from "./history.ts";

test("an undone edit can be redone until a new one is made", () => {
  const undone = historyOf([
    { revision: 1, kind: "edit", of: null },
    { revision: 2, kind: "edit", of: null },
    { revision: 3, kind: "undo", of: 2 },
  ]);
  expect(undone).toEqual({ undo: [1], redo: [2] });
  expect(afterStep(undone, { revision: 4, kind: "redo", of: 2 })).toEqual({ undo: [1, 2], redo: [] });
  expect(afterStep(undone, { revision: 4, kind: "edit", of: null })).toEqual({ undo: [1, 4], redo: [] });
});

test("a replaced plan ends what could be undone", () => {
  expect(
    historyOf([
      { revision: 1, kind: "edit", of: null },
      { revision: 2, kind: "replace", of: null },
    ]),
  ).toEqual({ undo: [], redo: [] });
});

test("undoing everything and redoing everything comes back to where it was", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), (count) => {
      const edits = Array.from({ length: count }, (_, at) => ({ revision: at + 1, kind: "edit" as const, of: null }));
      const before = historyOf(edits);
      let history = before;
      for (let at = 0; at < count; at++)
        history = afterStep(history, { revision: 100 + at, kind: "undo", of: history.undo.at(-1) as number });
      expect(history.undo).toEqual([]);
      for (let at = 0; at < count; at++)
        history = afterStep(history, { revision: 200 + at, kind: "redo", of: history.redo.at(-1) as number });
      expect(history).toEqual(before);
    }),
  );
});
