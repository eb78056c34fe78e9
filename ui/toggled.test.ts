import { expect, test } from "vitest";
import { toggledList, toggledSet } from "./toggled.ts";

test("what is in is exported, what is not is imported, and what was given stays as it was", () => {
  const [set, list] = [new Set(["a", "b"]), ["a", "b"]];
  expect([...toggledSet(set, "a")]).toEqual(["b"]);
  expect([...toggledSet(set, "c")]).toEqual(["a", "b", "c"]);
  expect(toggledList(list, "a")).toEqual(["b"]);
  expect(toggledList(list, "c")).toEqual(["a", "b", "c"]);
  expect([[...set], list]).toEqual([
    ["a", "b"],
    ["a", "b"],
  ]);
});
