// The fast way of adding exact amounts against the slow one.
import fc from "fast-check";
import { expect, test } from "vitest";
import { ExactLine } from "./exactLine.ts";

const periods = Array.from({ length: 5 }, (_, at) => ({ start: at * 7, stop: at * 7 + 7 }));
const asked = { range: { start: 0, stop: 35 }, periods, periodOf: Int32Array.from({ length: 35 }, (_, day) => Math.floor(day / 7)) };

test("always: amounts in plain numbers add up to the same as in big integers, in any order, however large, mixed or not", () => {
  const amount = fc.record({
    slot: fc.integer({ min: -1, max: 5 }),
    numerator: fc.oneof(
      fc.integer({ min: -9_000, max: 9_000 }),
      fc.integer({ min: 0, max: 2 ** 50 }),
      fc.constantFrom(Number.MAX_SAFE_INTEGER, 2 ** 52 + 1),
    ),
    isOther: fc.boolean(),
    isBig: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(amount, { maxLength: 30 }), fc.boolean(), fc.constantFrom(1, 3, 7, 6_000), (amounts, isMixed, denominator) => {
      const [fast, slow] = [new ExactLine(asked), new ExactLine(asked)];
      for (const { slot, numerator, isOther, isBig } of amounts) {
        const own = isMixed && isOther ? 11 : denominator;
        if (isMixed && isBig) fast.add(slot, BigInt(numerator), BigInt(own));
        else fast.addSmall(slot, numerator, own);
        slow.add(slot, BigInt(numerator), BigInt(own));
      }
      const [a, b] = [new Array<number>(5).fill(0), new Array<number>(5).fill(0)];
      expect([fast.addTo(a), a]).toEqual([slow.addTo(b), b]);
      // Read again, it is the same: what has become large stays right.
      const again = new Array<number>(5).fill(0);
      fast.addTo(again);
      expect(again).toEqual(a);
      fast.reset();
      expect(fast.addTo(again)).toBe(0);
      expect(again).toEqual(a);
    }),
    { numRuns: 400 },
  );
});

test("always: days added together add up to the same as one by one; where that would not be exact, nothing is added", () => {
  const run = fc.record({
    from: fc.integer({ min: -10, max: 40 }),
    minutes: fc.array(fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 1_440 })), { minLength: 1, maxLength: 20 }),
    factor: fc.oneof(fc.integer({ min: 0, max: 2_000_000 }), fc.constant(2 ** 45)),
  });
  fc.assert(
    fc.property(fc.array(run, { maxLength: 6 }), fc.constantFrom(1, 7, 6_000), (runs, denominator) => {
      const [together, alone] = [new ExactLine(asked), new ExactLine(asked)];
      for (const { from, minutes, factor } of runs) {
        const days = Int32Array.from([99, ...minutes, 99]);
        const isAdded = together.addProducts(days, 1 - from, from, from + minutes.length, factor, denominator);
        if (factor < 2 ** 45 && runs.every((own) => own.factor < 2 ** 45)) expect(isAdded).toBe(true);
        minutes.forEach((own, at) => {
          const slot = alone.slotOf(from + at);
          alone.add(slot, BigInt(own) * BigInt(factor), BigInt(denominator));
          if (!isAdded) together.add(slot, BigInt(own) * BigInt(factor), BigInt(denominator));
        });
      }
      const [a, b] = [new Array<number>(5).fill(0), new Array<number>(5).fill(0)];
      expect([together.addTo(a), a]).toEqual([alone.addTo(b), b]);
    }),
    { numRuns: 400 },
  );
});
