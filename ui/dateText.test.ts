import fc from "fast-check";
import { expect, test } from "vitest";
import { formatDay, parseDay, weekdayOf } from "../core/calendar/day.ts";
import { meantDate, readDate, writeDate } from "./dateText.ts";

const today = parseDay("2027-02-03"); // A Wednesday.
const meant = (text: string) => meantDate(text, today);

test("whole dates are read in several ways, and anything else means none", () => {
  for (const text of ["8 Feb 2027", "8 February 2027", "8.2.2027", "8/2/2027", "2027-02-08", " 8 feb 27 "])
    expect(meant(text)).toBe("2027-02-08");
  for (const text of ["", "soon", "30 Feb 2027", "2027-13-01", "+", "m", "8", "+99999"]) expect(meant(text)).toBeNull();
});

test("steps count from today, and a weekday is the next one", () => {
  expect(meant("today")).toBe("2027-02-03");
  expect(meant("+5")).toBe("2027-02-08");
  expect(meant("- 3")).toBe("2027-01-31");
  expect(meant("mon")).toBe("2027-02-08");
  expect(meant("Wednesday")).toBe("2027-02-10");
  expect(meant("th")).toBe("2027-02-04");
});

test("a day without its year is the next one, or the last where that is less than a quarter back", () => {
  expect(meant("3 mar")).toBe("2027-03-03");
  expect(meant("20 December")).toBe("2026-12-20");
  expect(meant("20 Oct")).toBe("2027-10-20");
  expect(meant("29 feb")).toBeNull();
});

test("a date that is written is read as itself, and what is meant is always a date that can be written", () => {
  fc.assert(
    fc.property(fc.integer({ min: parseDay("1990-01-01"), max: parseDay("2090-12-31") }), (day) => {
      expect(readDate(writeDate(formatDay(day)))).toBe(formatDay(day));
      expect(meantDate(writeDate(formatDay(day)), today)).toBe(formatDay(day));
    }),
  );
  fc.assert(
    fc.property(
      fc.constantFrom("mo", "tue", "wed", "thurs", "fri", "sat", "sunday"),
      fc.integer({ min: 20_000, max: 22_000 }),
      (text, from) => {
        const day = parseDay(meantDate(text, from) ?? "");
        expect(day - from).toBeGreaterThan(0);
        expect(day - from).toBeLessThanOrEqual(7);
        expect(["mo", "tue", "wed", "thurs", "fri", "sat", "sunday"][weekdayOf(day)]).toBe(text);
      },
    ),
  );
});
