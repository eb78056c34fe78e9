import fc from "fast-check";
import { expect, test } from "vitest";
import { parseDay } from "./day.ts";
import { finishTickOf, startTickOf, TICKS_PER_DAY, WorkingLine } from "./workingLine.ts";

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
    fc.property(fc.integer({ min: -6_000, max: 6_000 }), (index) => {
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

test("the line has no beginning: days before the origin have negative numbers, in the order they are asked for or any other", () => {
  expect(line.indexOf(origin)).toBe(0);
  expect(line.indexOf(origin - 1)).toBe(0);
  expect(line.indexOf(origin - 3)).toBe(-1);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: -6_000, max: 6_000 }), { minLength: 1, maxLength: 5 }), (asked) => {
      const fresh = new WorkingLine(calendar, origin);
      for (const index of asked) {
        const day = fresh.dayAt(index);
        expect(fresh.isWorkingDay(day)).toBe(true);
        expect(fresh.indexOf(day)).toBe(index);
        expect(day).toBe(line.dayAt(index));
        expect([fresh.asStart(index * 480 + 7), fresh.asFinish(index * 480 + 7)]).toEqual([
          { day, tick: 7 },
          { day, tick: 7 },
        ]);
      }
    }),
  );
});

test("the tick of an instant is that of its day, before the origin too", () => {
  expect([startTickOf(480), finishTickOf(480), startTickOf(-1), finishTickOf(-480), startTickOf(-480)]).toEqual([0, 480, 479, 480, 0]);
});
