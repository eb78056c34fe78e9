import fc from "fast-check";
import { expect, test } from "vitest";
import { parseDay } from "./day.ts";
import { TICKS_PER_DAY, WorkingLine } from "./workingLine.ts";

const origin = parseDay("2027-01-04");
const calendar = {
  id: "c",
  name: "Studio",
  week: [8, 8, 8, 8, 6, 0, 0],
  exceptions: [
    { from: "2027-02-10", to: "2027-02-12", hours: 0, name: "Closed" },
    { from: "2027-02-12", to: "2027-02-13", hours: 4, name: "Short days" },
  ],
};
const line = new WorkingLine(calendar, origin);

test("the later of two exceptions that overlap holds, also on a day off", () => {
  expect(line.minutesOn(parseDay("2027-02-11"))).toBe(0);
  expect(line.minutesOn(parseDay("2027-02-12"))).toBe(240);
  expect(line.minutesOn(parseDay("2027-02-13"))).toBe(240);
});

test("working days are numbered in date order, however far one asks", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 6_000 }), (index) => {
      const day = line.dayAt(index);
      expect(line.isWorkingDay(day)).toBe(true);
      expect(line.indexOf(day)).toBe(index);
      expect(line.dayAt(index + 1)).toBeGreaterThan(day);
    }),
  );
});

test("the end of one working day and the start of the next are one instant, read as two dates", () => {
  const friday = parseDay("2027-01-15");
  const end = line.place(friday, TICKS_PER_DAY);
  expect(line.asFinish(end)).toEqual({ day: friday, tick: TICKS_PER_DAY });
  expect(line.asStart(end)).toEqual({ day: friday + 3, tick: 0 });
});

test("a date without work is placed at the start of the next working day", () => {
  expect(line.place(parseDay("2027-01-16"), 300)).toBe(line.place(parseDay("2027-01-18"), 0));
});

test("a day before the line's origin is refused", () => {
  expect(() => line.minutesOn(origin - 1)).toThrow(RangeError);
});
