import fc from "fast-check";
import { expect, test } from "vitest";
import { dateOf, dayOfDate, formatDay, isoWeekOf, parseDay, weekdayOf } from "./day.ts";

const days = fc.integer({ min: dayOfDate(1900, 1, 1), max: dayOfDate(2199, 12, 31) });

test("a day is written and read as the calendar of the platform has it", () => {
  fc.assert(
    fc.property(days, (day) => {
      const text = new Date(day * 86_400_000).toISOString().slice(0, 10);
      expect(formatDay(day)).toBe(text);
      expect(parseDay(text)).toBe(day);
      expect(weekdayOf(day)).toBe((new Date(day * 86_400_000).getUTCDay() + 6) % 7);
      const { year, month, dayOfMonth } = dateOf(day);
      expect(dayOfDate(year, month, dayOfMonth)).toBe(day);
    }),
  );
});

test("months past the twelfth run into the next year", () => {
  expect(formatDay(dayOfDate(2027, 14, 1))).toBe("2028-02-01");
});

test("week numbers follow ISO 8601 around the turn of the year", () => {
  expect(isoWeekOf(parseDay("2026-12-31"))).toBe(53);
  expect(isoWeekOf(parseDay("2027-01-03"))).toBe(53);
  expect(isoWeekOf(parseDay("2027-01-04"))).toBe(1);
  expect(isoWeekOf(parseDay("2027-02-08"))).toBe(6);
});
