import fc from "fast-check";
import { expect, test } from "vitest";
import {
  durationTicks,
  exchangeMillionths,
  minorUnits,
  percentHundredths,
  productMinorUnits,
  rateUnits,
  roundedQuotient,
  shareOf,
  workMinutes,
} from "./units.ts";

test("a quotient is rounded half up, as whole-number arithmetic has it", () => {
  fc.assert(
    fc.property(fc.integer({ min: -1e12, max: 1e12 }), fc.integer({ min: 1, max: 1e6 }), (numerator, divisor) => {
      const [doubled, whole] = [2n * BigInt(numerator) + BigInt(divisor), 2n * BigInt(divisor)];
      const floor = doubled / whole - (doubled < 0n && doubled % whole !== 0n ? 1n : 0n);
      expect(roundedQuotient(numerator, divisor)).toBe(Number(floor));
    }),
  );
});

test("decimals are taken as written before they are rounded", () => {
  expect(workMinutes(0.175)).toBe(11);
  expect(workMinutes(7.5)).toBe(450);
  expect(durationTicks(2.5)).toBe(1200);
  expect(durationTicks(-0.5)).toBe(-240);
  expect(minorUnits(985.45)).toBe(98_545);
  expect(minorUnits(1.005)).toBe(101);
  expect(rateUnits(46.905)).toBe(469_050);
  expect(percentHundredths(62.5)).toBe(6_250);
  expect(minorUnits(12.3449)).toBe(1_234);
  expect(workMinutes(0.0083334)).toBe(1);
  expect(workMinutes(1e-7)).toBe(0);
  expect([exchangeMillionths(1.2345675), exchangeMillionths(1.23456749), exchangeMillionths(4.5e-7)]).toEqual([1_234_568, 1_234_567, 0]);
});

test("always: a decimal is rounded as its digits say, however many there are", () => {
  fc.assert(
    fc.property(fc.integer({ min: -9_999_999, max: 9_999_999 }), fc.integer({ min: 0, max: 9 }), (digits, places) => {
      const value = digits / 10 ** places;
      const rounded = (factor: bigint) => {
        const [numerator, divisor] = [2n * BigInt(digits) * factor + 10n ** BigInt(places), 2n * 10n ** BigInt(places)];
        return Number(numerator / divisor - (numerator < 0n && numerator % divisor !== 0n ? 1n : 0n));
      };
      const found = [workMinutes, durationTicks, minorUnits, rateUnits].map((unit) => unit(value) + 0);
      expect(found).toEqual([60n, 480n, 100n, 10_000n].map(rounded));
    }),
    { numRuns: 2_000 },
  );
});

test("a share of nothing is none", () => {
  expect(shareOf(3, 0)).toBeNull();
  expect(shareOf(1_200, 15_840)).toBe(758);
});

test("a quantity at a price each is exact to four decimals, and rounded half up once", () => {
  expect(productMinorUnits(4, 250)).toBe(100_000);
  expect(productMinorUnits(0.5, 0.01)).toBe(1);
  expect(productMinorUnits(3, -12.345)).toBe(-3_703);
  expect(productMinorUnits(1.005, 100)).toBe(10_050);
  expect(productMinorUnits(1e9, 1e10)).toBe(1e21);
});
