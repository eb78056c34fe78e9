// Dates as whole days since 1970-01-01, without time or time zone (proleptic Gregorian calendar).

/** Days since 1970-01-01. */
export type Day = number;

/** The day that a `YYYY-MM-DD` text names. The text must be a real date: the plan's schema sees to that.
 * Method: Howard Hinnant, "chrono-compatible low-level date algorithms". */
export function parseDay(text: string): Day {
  const digit = (at: number) => text.charCodeAt(at) - 48;
  const year = digit(0) * 1000 + digit(1) * 100 + digit(2) * 10 + digit(3);
  const month = digit(5) * 10 + digit(6);
  return dayOfDate(year, month, digit(8) * 10 + digit(9));
}

/** The day of a year, a month 1–12 and a day of the month; months past 12 run on into the next years. */
export function dayOfDate(year: number, month: number, dayOfMonth: number): Day {
  const months = year * 12 + month - 3; // the year begins with March, so that a leap day comes last
  const y = Math.floor(months / 12);
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (months - y * 12) + 2) / 5) + dayOfMonth - 1;
  return era * 146097 + yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear - 719468;
}

/** Year, month 1–12 and day of the month of a day. */
export function dateOf(day: Day): { year: number; month: number; dayOfMonth: number } {
  const shifted = day + 719468;
  const era = Math.floor(shifted / 146097);
  const dayOfEra = shifted - era * 146097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36524) - Math.floor(dayOfEra / 146096)) / 365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const march = Math.floor((5 * dayOfYear + 2) / 153);
  const month = march < 10 ? march + 3 : march - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    dayOfMonth: dayOfYear - Math.floor((153 * march + 2) / 5) + 1,
  };
}

/** The day as `YYYY-MM-DD`. */
export function formatDay(day: Day): string {
  const { year, month, dayOfMonth } = dateOf(day);
  return `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(dayOfMonth).padStart(2, "0")}`;
}

/** 0 for Monday … 6 for Sunday. */
export function weekdayOf(day: Day): number {
  return (((day + 3) % 7) + 7) % 7;
}

/** The ISO 8601 week number, 1 … 53. */
export function isoWeekOf(day: Day): number {
  const thursday = day - weekdayOf(day) + 3;
  return Math.floor((thursday - dayOfDate(dateOf(thursday).year, 1, 1)) / 7) + 1;
}
