import fc from "fast-check";
import { expect, test } from "vitest";
import { Histories, type TrailStep } from "./history.ts";

const step = (revision: number, kind: TrailStep["kind"], of: number | null = null, maker: string | null = "nora"): TrailStep => ({
  revision,
  kind,
  of,
  words: `step ${of ?? revision}`,
  maker,
});
const next = (histories: Histories, maker: string | null = "nora") => {
  const { undo, redo } = histories.next(maker);
  return [undo?.revision ?? null, redo?.revision ?? null];
};

test("an undone edit can be redone until its maker makes a new one", () => {
  const histories = new Histories([step(1, "edit"), step(2, "edit"), step(3, "undo", 2)]);
  expect(histories.next("nora")).toEqual({ undo: { revision: 1, words: "step 1" }, redo: { revision: 2, words: "step 2" } });
  histories.follow(step(4, "redo", 2));
  expect(next(histories)).toEqual([2, null]);
  histories.follow(step(5, "undo", 2));
  histories.follow(step(6, "edit"));
  expect(next(histories)).toEqual([6, null]);
});

test("everyone undoes their own steps alone, no matter what others do in between", () => {
  const histories = new Histories([step(1, "edit"), step(2, "edit", null, "lee"), step(3, "edit", null, "lee"), step(4, "undo", 3, "lee")]);
  expect(next(histories)).toEqual([1, null]);
  expect(next(histories, "lee")).toEqual([2, 3]);
  expect(next(histories, "a new maker")).toEqual([null, null]);
  histories.follow(step(5, "edit"));
  expect(next(histories, "lee")).toEqual([2, 3]);
  expect(histories.find("lee", "undo", 1)).toBeNull();
});

test("a replaced plan ends what could be undone", () => {
  expect(next(new Histories([step(1, "edit"), step(2, "replace")]))).toEqual([null, null]);
});

test("undoing everything and redoing everything comes back to where it was", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), (count) => {
      const histories = new Histories(Array.from({ length: count }, (_, at) => step(at + 1, "edit")));
      for (let at = 0; at < count; at++) histories.follow(step(100 + at, "undo", histories.find("nora", "undo")?.revision));
      expect(next(histories)).toEqual([null, 1]);
      for (let at = 0; at < count; at++) histories.follow(step(200 + at, "redo", histories.find("nora", "redo")?.revision));
      expect(next(histories)).toEqual([count, null]);
    }),
  );
});
