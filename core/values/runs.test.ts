import fc from "fast-check";
import { expect, test } from "vitest";
import { gapsOf, type Run, runsOf } from "./runs.ts";

const numbersOf = (runs: readonly Run[]): number[] =>
  runs.flatMap(({ first, last }) => Array.from({ length: last + 1 - first }, (_, at) => first + at));

test("always: runs and the gaps between them give every number from the first to the last once", () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: -40, max: 40 })), (some) => {
      const numbers = some.sort((a, b) => a - b);
      const runs = runsOf(numbers);
      expect(numbersOf(runs)).toEqual(numbers);
      const all = numbers.length === 0 ? [] : numbersOf([{ first: numbers[0], last: numbers[numbers.length - 1] }]);
      expect([...numbersOf(runs), ...numbersOf(gapsOf(runs))].sort((a, b) => a - b)).toEqual(all);
    }),
  );
});

test("neighbours are one run, and a gap between two runs has both its ends", () => {
  const runs = runsOf([3, 4, 5, 9]);
  expect(runs).toEqual([
    { first: 3, last: 5 },
    { first: 9, last: 9 },
  ]);
  expect(gapsOf(runs)).toEqual([{ first: 6, last: 8 }]);
});
