// Dates as people type and read them: "8 Feb 2027" in a field, YYYY-MM-DD in the plan.
import { isValid, parse } from "date-fns";
import { type Day, dateOf, formatDay, parseDay, weekdayOf } from "../core/calendar/day.ts";
import { isCalendarDate } from "../core/values/calendarDate.ts";
import { longDay } from "./format.ts";

const typedFormats = ["d MMM yyyy", "d MMMM yyyy", "d.M.yyyy", "d/M/yyyy", "d MMM yy", "d MMMM yy", "d.M.yy", "d/M/yy"];

/** A plan's date as it is now in a field; empty for none. */
export function writeDate(date: string | undefined): string {
  return date === undefined || date === "" ? "" : longDay(parseDay(date));
}

/** The plan's date that a typed text means: "8 Feb 2027", "8.2.2027" or "2027-02-08"; null where it means none. */
export function readDate(text: string): string | null {
  const trimmed = text.trim();
  if (isCalendarDate(trimmed)) return trimmed;
  for (const format of typedFormats) {
    const date = parse(trimmed, format, new Date(2000, 0, 1));
    // A year of two digits is meant as one of this century, not of the first.
    if (!isValid(date) || date.getFullYear() < 1000) continue;
    const iso = formatDay(Math.round(Date.UTC(date.getFullYear(), date.getMonth(), date.getDate()) / 86_400_000));
    if (isCalendarDate(iso)) return iso;
  }
  return null;
}

const weekdays = ["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"];
/** A day and a month without a year are looked for from this many days back. */
const BACK = 90;

/** The date that a text means on a day: all that `readDate` reads, and "today", "+5" or "-3" days, "mon" for the next Monday, "3
 * mar" for the next such day, or the last one if that is less than a quarter back. Null if it means none. */
export function meantDate(text: string, today: Day): string | null {
  const trimmed = text.trim().toLowerCase();
  if (trimmed === "today") return formatDay(today);
  const step = /^([+-])\s*(\d{1,4})$/.exec(trimmed);
  if (step) return formatDay(today + (step[1] === "+" ? 1 : -1) * Number(step[2]));
  const weekday = trimmed.length < 2 ? -1 : weekdays.findIndex((name) => name.startsWith(trimmed));
  if (weekday >= 0) return formatDay(today + ((weekday - weekdayOf(today) + 6) % 7) + 1);
  const { year } = dateOf(today - BACK);
  return (
    readDate(text) ??
    [year, year + 1].map((own) => readDate(`${trimmed} ${own}`)).find((date) => date !== null && parseDay(date) >= today - BACK) ??
    null
  );
}

/** True for a text that is empty or means a date. */
export function isDateText(text: string): boolean {
  return text.trim() === "" || readDate(text) !== null;
}

export const DATE_HINT = "Enter a date such as 8 Feb 2027.";
