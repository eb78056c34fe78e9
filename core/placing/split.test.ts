import fc from "fast-check";
import { expect, test } from "vitest";
import { applyShape, splitByWeight } from "./split.ts";

/** The rule as it is written, in whole numbers of any size. */
function splitPlainly(total: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((all, weight) => all + BigInt(weight), 0n);
  if (sum === 0n) return weights.map(() => 0);
  const upTo = (cum: bigint) => (2n * BigInt(total) * cum + sum) / (2n * sum);
  let cum = 0n;
  return weights.map((weight) => {
    const before = upTo(cum);
    cum += BigInt(weight);
    return Number(upTo(cum) - before);
  });
}

test("shares follow the running total and add up to the whole", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 6e7 }),
      fc.array(fc.integer({ min: 0, max: 2e6 }), { minLength: 1, maxLength: 60 }),
      (total, weights) => {
        const shares = Int32Array.from(weights);
        splitByWeight(total, shares, 0, shares.length);
        expect([...shares]).toEqual(splitPlainly(total, weights));
        if (weights.some((weight) => weight > 0)) expect(shares.reduce((sum, share) => sum + share, 0)).toBe(total);
      },
    ),
  );
});

test("only the items asked for are touched", () => {
  const shares = Int32Array.from([7, 1, 1, 7]);
  splitByWeight(10, shares, 1, 2);
  expect([...shares]).toEqual([7, 5, 5, 7]);
});

test("shapes count the days that have weight, and skip the others", () => {
  const shaped = (shape: "early" | "late" | "peak") => {
    const weights = Int32Array.from([1, 0, 1, 1, 1]);
    applyShape(shape, weights, 0, 5);
    return [...weights];
  };
  expect(shaped("early")).toEqual([7, 0, 5, 3, 1]);
  expect(shaped("late")).toEqual([1, 0, 3, 5, 7]);
  expect(shaped("peak")).toEqual([1, 0, 3, 3, 1]);
});
