import fc from "fast-check";
import { expect, test } from "vitest";
import { fernhollow } from "../../demo/fernhollow.ts";
import { applyEdit } from "../edits/edit.ts";
import { parsePlan } from "../plan/parse.ts";
import { isStorable, unstorableAt } from "./storable.ts";

test("always: text can be stored exactly where it survives UTF-8 and has no character number 0", () => {
  const units = fc.array(fc.oneof(fc.integer({ min: 0, max: 0x80 }), fc.integer({ min: 0xd7f0, max: 0xe00f })), { maxLength: 8 });
  fc.assert(
    fc.property(units, (codes) => {
      const text = String.fromCharCode(...codes);
      const isKept = Buffer.from(text, "utf8").toString("utf8") === text && !text.includes("\0");
      expect(isStorable(text)).toBe(isKept);
    }),
    { numRuns: 2_000 },
  );
});

test("the place of text that cannot be stored is found, in values and in keys", () => {
  expect(unstorableAt({ a: [{ b: "fine" }, { c: "\ud800" }] })).toEqual(["a", 1, "c"]);
  expect(unstorableAt({ a: { "\udfff": 1 } })).toEqual(["a"]);
  expect(unstorableAt({ a: ["😀", 1, null, true] })).toBeNull();
});

test("a plan file and an edit with half a pair of surrogates are refused, with the place", () => {
  const plan = fernhollow();
  const text = JSON.stringify({ ...plan, tasks: plan.tasks.map((task, at) => (at === 3 ? { ...task, name: "Bad \ud83d" } : task)) });
  expect(parsePlan(text).faults).toEqual([
    { place: "tasks[3].name", message: "holds a character that cannot be stored: half of a pair of surrogates, or number 0. Remove it." },
  ]);
  const { plan: after, faults } = applyEdit(plan, { kind: "changeTask", id: plan.tasks[0].id, set: { name: "\udc00" } });
  expect(after).toBeNull();
  expect(faults[0].message).toMatch(/cannot be stored/);
});
