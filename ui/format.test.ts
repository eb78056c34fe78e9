import { expect, test } from "vitest";
import { parseDay } from "../core/calendar/day.ts";
import { HIDDEN } from "../core/plan/moneySides.ts";
import { isDateText, readDate, writeDate } from "./dateText.ts";
import {
  hoursText,
  initials,
  marginText,
  moneyText,
  periodHeading,
  periodPhrase,
  pointsText,
  rangeText,
  shareText,
  signedMoney,
  unitsText,
} from "./format.ts";
import { windowFrom } from "./timeWindow.ts";

const day = parseDay;
const usual = { weekStartsOn: 1, fiscalYearStartMonth: 1 };

test("hours have one decimal at most and a true minus", () => {
  expect(hoursText(450)).toBe("7.5");
  expect(hoursText(-840)).toBe("−14");
  expect(hoursText(-2)).toBe("0");
  expect(hoursText(74_820)).toBe("1,247");
});

test("amounts keep their cents, shares are whole, nothing is a dash", () => {
  expect(moneyText(252_594)).toBe("2,525.94");
  expect(moneyText(-5)).toBe("−0.05");
  // A hidden figure is an object, also once it has been sent.
  const sent = JSON.parse(JSON.stringify(HIDDEN)) as typeof HIDDEN;
  expect([moneyText(HIDDEN), moneyText(sent), marginText(sent), signedMoney(sent, "EUR"), pointsText(sent)]).toEqual(
    Array(5).fill("hidden"),
  );
  expect(shareText(4_444)).toBe("44%");
  expect(shareText(null)).toBe("–");
  expect([unitsText(123_456_789), unitsText(20_000)]).toEqual(["12,345.68", "2"]);
});

test("days are written short, with the year where it is not obvious", () => {
  expect(rangeText({ start: day("2027-01-25"), stop: day("2027-03-22") })).toBe("25 Jan – 21 Mar 2027");
  expect(rangeText({ start: day("2026-12-28"), stop: day("2027-01-05") })).toBe("28 Dec 2026 – 4 Jan 2027");
  expect(periodPhrase({ start: day("2027-02-08"), stop: day("2027-02-15") })).toBe("week of 8 February");
  expect(periodHeading({ start: day("2027-02-08"), stop: day("2027-02-15") }, "week", usual)).toEqual({ main: "8 Feb", side: "wk 6" });
});

test("a column that the window cuts says which days it shows; quarters and years are those of the fiscal year", () => {
  const heading = (from: string, to: string, grain: "week" | "month" | "quarter" | "year", settings = usual) =>
    Object.values(periodHeading({ start: day(from), stop: day(to) + 1 }, grain, settings)).join(" | ");
  expect(heading("2027-02-01", "2027-02-28", "month")).toBe("Feb | 2027");
  expect(heading("2027-02-08", "2027-02-28", "month")).toBe("Feb | 8–28");
  expect(heading("2027-02-10", "2027-02-14", "week")).toBe("10 Feb | 5 days");
  expect(heading("2027-02-08", "2027-03-31", "quarter")).toBe("Q1 | 8 Feb – 31 Mar");
  const april = { weekStartsOn: 7, fiscalYearStartMonth: 4 };
  expect(heading("2027-01-01", "2027-03-31", "quarter", april)).toBe("Q4 | 2026/27");
  expect(heading("2027-04-01", "2028-03-31", "year", april)).toBe("2027/28 | ");
  expect(heading("2027-02-07", "2027-02-13", "week", april)).toBe("7 Feb | wk 6");
  expect(periodPhrase({ start: day("2027-02-08"), stop: day("2027-03-01") })).toBe("8 Feb – 28 Feb 2027");
  expect(periodPhrase({ start: day("2027-02-01"), stop: day("2027-03-01") })).toBe("February 2027");
});

test("what is missing and what is left over are reported with the same figure", () => {
  for (const minutes of [309, 225, 3, 2, 6, 1_000]) expect(hoursText(-minutes).replace("−", "")).toBe(hoursText(minutes));
  expect(hoursText(309)).toBe("5.2");
});

test("a typed day is understood in the ways people write it, day first", () => {
  for (const text of ["8 Feb 2027", "8 February 2027", "8.2.2027", "8/2/2027", "2027-02-08"]) expect(readDate(text)).toBe("2027-02-08");
  for (const text of ["30 Feb 2027", "2027-02-30", "soon"]) expect(isDateText(text)).toBe(false);
  expect(isDateText("")).toBe(true);
  expect(writeDate("2027-02-08")).toBe("8 Feb 2027");
  expect(initials("Ines Valtonen")).toBe("IV");
});

test("a URL's window is cut to the horizon, and one that makes no sense gives the weeks around today", () => {
  const horizon = { start: day("2026-10-05"), stop: day("2028-04-01") };
  const today = day("2027-02-01");
  expect(windowFrom("2026-01-01", "2026-11-01", "month", today, horizon, usual)).toEqual({
    range: { start: horizon.start, stop: day("2026-11-02") },
    grain: "month",
  });
  const around = { range: { start: day("2027-01-25"), stop: day("2027-03-22") }, grain: "week" };
  expect(windowFrom(null, null, null, today, horizon, usual)).toEqual(around);
  expect(windowFrom("2027-02-30", "2027-03-01", "fortnight", today, horizon, usual)).toEqual(around);
  expect(windowFrom("2027-03-01", "2027-02-01", null, today, horizon, usual)).toEqual(around);
  expect(windowFrom(null, null, null, today, horizon, { ...usual, weekStartsOn: 7 }).range.start).toBe(day("2027-01-24"));
});
