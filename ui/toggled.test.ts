import { expect, test } from "vitest";
import { toggledList, toggledSet } from "./toggled.ts";

test("an id in the list is removed, another one is added, and the given list does not change", () => {
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
