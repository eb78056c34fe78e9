// Running-total rounding: the one rule by which an amount is split over a sequence.
import { roundedQuotient } from "../values/units.ts";
import type { Shape } from "../work/statement.ts";

const SAFE = 2 ** 53;

/** Splits `total` over `count` weights in place: weight[at + i] becomes the share of item i. The shares add up to
 * `total`; where all weights are 0, nothing can be split and they stay 0.
 * @param total, weights Whole numbers, not negative.
 * @returns Whether any item had weight. */
export function splitByWeight(total: number, weight: Int32Array, at: number, count: number): boolean {
  let sum = 0;
  for (let i = at; i < at + count; i++) sum += weight[i];
  if (sum === 0) return false;
  if (2 * total * sum + sum >= SAFE) {
    splitLarge(total, sum, weight, at, count);
    return true;
  }
  takeShares(total, sum, weight, at, count);
  return true;
}

/** Takes `part / whole` of each weight in place, by the rounded running total: weight[at + i] becomes what its item adds
 * to it. @param part, whole Whole numbers; their product with the weights' sum stays below 2^53.
 * @returns What all of them result in. */
export function takeShares(part: number, whole: number, weight: Int32Array, at: number, count: number): number {
  let cum = 0;
  let given = 0;
  for (let i = at; i < at + count; i++) {
    if (weight[i] === 0) continue;
    cum += weight[i];
    const upTo = roundedQuotient(part * cum, whole);
    weight[i] = upTo - given;
    given = upTo;
  }
  return given;
}

function splitLarge(total: number, sum: number, weight: Int32Array, at: number, count: number): void {
  let cum = 0n;
  let given = 0;
  for (let i = at; i < at + count; i++) {
    cum += BigInt(weight[i]);
    const upTo = Number((2n * BigInt(total) * cum + BigInt(sum)) / (2n * BigInt(sum)));
    weight[i] = upTo - given;
    given = upTo;
  }
}

/** Multiplies the weights above 0 by their factor in a shape: early ones more, late ones more, or the middle. */
export function applyShape(shape: Shape, weight: Int32Array, at: number, count: number): void {
  if (shape === "even") return;
  let n = 0;
  for (let i = at; i < at + count; i++) if (weight[i] > 0) n++;
  let k = 0;
  for (let i = at; i < at + count; i++) {
    if (weight[i] === 0) continue;
    const rising = 2 * k + 1;
    const falling = 2 * (n - k) - 1;
    weight[i] *= shape === "early" ? falling : shape === "late" ? rising : Math.min(rising, falling);
    k++;
  }
}
