// Dates as people type and read them: "8 Feb 2027" in a field, YYYY-MM-DD in the plan.
import { isValid, parse } from "date-fns";
import { formatDay, parseDay } from "../core/calendar/day.ts";
import { isCalendarDate } from "../core/plan/schema.ts";
import { longDay } from "./format.ts";

const typedFormats = ["d MMM yyyy", "d MMMM yyyy", "d.M.yyyy", "d/M/yyyy", "d MMM yy"];

/** A plan's date as it stands in a field; empty for none. */
export function writeDate(date: string | undefined): string {
  return date === undefined || date === "" ? "" : longDay(parseDay(date));
}

/** The plan's date that a typed text means: "8 Feb 2027", "8.2.2027" or "2027-02-08"; null where it means none. */
export function readDate(text: string): string | null {
  const trimmed = text.trim();
  if (isCalendarDate(trimmed)) return trimmed;
  for (const format of typedFormats) {
    const date = parse(trimmed, format, new Date(2000, 0, 1));
    if (!isValid(date)) continue;
    const iso = formatDay(Math.round(Date.UTC(date.getFullYear(), date.getMonth(), date.getDate()) / 86_400_000));
    if (isCalendarDate(iso)) return iso;
  }
  return null;
}

/** True for a text that is empty or means a date. */
export function isDateText(text: string): boolean {
  return text.trim() === "" || readDate(text) !== null;
}

export const DATE_HINT = "Write a day such as 8 Feb 2027.";
