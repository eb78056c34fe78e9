import fc from "fast-check";
import { expect, test } from "vitest";
import { dateOf, parseDay, weekdayOf } from "./day.ts";
import { grains, periodOfDays, periodStart, periodsIn } from "./periods.ts";

const settings = fc.record({ weekStartsOn: fc.integer({ min: 1, max: 7 }), fiscalYearStartMonth: fc.integer({ min: 1, max: 12 }) });

test("periods cover a range without gap or overlap, and each begins where its grain says", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 15_000, max: 25_000 }),
      fc.integer({ min: 1, max: 900 }),
      fc.constantFrom(...grains),
      settings,
      (start, length, grain, own) => {
        const range = { start, stop: start + length };
        const periods = periodsIn(range, grain, own);
        expect(periods[0].start).toBe(start);
        expect(periods.at(-1)?.stop).toBe(range.stop);
        const later = periods.slice(1).map((period) => period.start);
        expect(later).toEqual(periods.slice(0, -1).map(({ stop }) => stop));
        expect(later.map((first) => periodStart(first, grain, own))).toEqual(later);
        const periodOf = periodOfDays(range, periods);
        expect(periodOf.every((period, day) => periods[period].start <= start + day && start + day < periods[period].stop)).toBe(true);
      },
    ),
  );
});

test("weeks begin on the settings' first weekday, fiscal years in their first month", () => {
  const own = { weekStartsOn: 7, fiscalYearStartMonth: 4 };
  expect(weekdayOf(periodStart(parseDay("2027-02-10"), "week", own))).toBe(6);
  expect(dateOf(periodStart(parseDay("2027-02-10"), "year", own))).toEqual({ year: 2026, month: 4, dayOfMonth: 1 });
  expect(dateOf(periodStart(parseDay("2027-06-30"), "quarter", own))).toEqual({ year: 2027, month: 4, dayOfMonth: 1 });
});
