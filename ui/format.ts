// Figures and dates as they are read on screen.
import { format as figureFormat } from "d3-format";
import { format } from "date-fns";
import { type Day, dateOf, dayOfDate, isoWeekOf } from "../core/calendar/day.ts";
import { type Grain, isCut, type PeriodSettings, periodStart, type Range } from "../core/calendar/periods.ts";
import { type Figure, isHidden } from "../core/plan/moneySides.ts";
import { hourTenths } from "../core/values/units.ts";

// Made once: a board writes hundreds of figures a frame. What the browser has for this takes it 40 ms to begin with, in every
// process of its own.
const tenthsFormat = figureFormat(",.1~f");
const wholeFormat = figureFormat(",.0f");
const hundredthsFormat = figureFormat(",.2~f");
const centsFormat = figureFormat(",.2f");

// Boards say the same few figures again and again: up to a thousand hours each is written once.
const knownHours: string[] = [];
const KNOWN_TENTHS = 10_000;

/** Minutes as hours with one decimal at most, a true minus sign and thousands set apart. */
export function hoursText(minutes: number): string {
  const tenths = hourTenths(minutes);
  const text = tenthsText(Math.abs(tenths));
  return tenths < 0 ? `−${text}` : text;
}

function tenthsText(tenths: number): string {
  const known = knownHours[tenths];
  if (known !== undefined) return known;
  const text = tenthsFormat(tenths / 10);
  if (tenths < KNOWN_TENTHS) knownHours[tenths] = text;
  return text;
}

/** Minutes as the number that `hoursText` shows, for sorting and for spreadsheets. */
export const hoursOf = (minutes: number): number => hourTenths(minutes) / 10;

/** In the place of money that is not for the person who looks. */
const HIDDEN_TEXT = "hidden";

/** A figure as text, or the word that is in its place. */
export const figureText = (figure: Figure, write: (shown: number) => string): string => (isHidden(figure) ? HIDDEN_TEXT : write(figure));

/** Minor units as an amount in whole or exact major units, thousands set apart. */
export function moneyText(minor: Figure, decimals: 0 | 2 = 2): string {
  if (isHidden(minor)) return HIDDEN_TEXT;
  const text = (decimals === 0 ? wholeFormat : centsFormat)(Math.abs(minor) / 100);
  return minor < 0 ? `−${text}` : text;
}

/** An amount with its sign, in whole units. */
export const signedMoney = (minor: Figure, currency: string): string =>
  isHidden(minor) ? HIDDEN_TEXT : `${minor > 0 ? "+" : minor < 0 ? "−" : ""}${currency} ${moneyText(Math.abs(minor), 0)}`;

/** A margin: as a share, with the decimal by which it may be under its goal. */
export const marginText = (hundredths: Figure): string =>
  isHidden(hundredths) ? HIDDEN_TEXT : `${Math.round(hundredths / 10) / 10}%`.replace("-", "−");

/** Hundredths of a percent as points, with one decimal. */
export const pointsText = (hundredths: Figure): string =>
  isHidden(hundredths) ? HIDDEN_TEXT : countText(Math.round(hundredths / 10) / 10, "point");

/** Hundredths of a percent as a whole percentage; a dash where there is none. */
export function shareText(hundredths: number | null): string {
  return hundredths === null ? "–" : `${Math.round(hundredths / 100)}%`;
}

/** A sentence or a name in the middle of another one. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** A whole number with its thousands set apart. */
export const wholeText = (count: number): string => wholeFormat(count);

/** Ten-thousandths of a unit with at most two decimals. */
export const unitsText = (units: number): string => hundredthsFormat(Math.round(units / 100) / 100);

/** A count with its noun: "1 person", "3 people", "1.5 days". */
export function countText(count: number, one: string, many = `${one}s`): string {
  return `${tenthsFormat(count)} ${count === 1 ? one : many}`;
}

function dateOfDay(day: Day): Date {
  const utc = new Date(day * 86_400_000);
  return new Date(utc.getUTCFullYear(), utc.getUTCMonth(), utc.getUTCDate());
}

/** A day as "8 Feb". */
export const shortDay = (day: Day): string => format(dateOfDay(day), "d MMM");

/** A day as "8 Feb 2027". */
export const longDay = (day: Day): string => format(dateOfDay(day), "d MMM yyyy");

/** The days of a week as they are headed, Monday first. */
export const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;

/** A day as "Tue 9 Feb". */
/** The day of the week: "Mon". */
export const dayName = (day: Day): string => format(dateOfDay(day), "EEE");

export const weekdayText = (day: Day): string => format(dateOfDay(day), "EEE d MMM");

/** A month as "Feb", with the year in January. */
export const monthText = (day: Day): string => format(dateOfDay(day), dateOfDay(day).getMonth() === 0 ? "yyyy" : "MMM");

/** A month as "Feb 2027". */
export const monthOfYearText = (day: Day): string => format(dateOfDay(day), "MMM yyyy");

/** A month as "February 2027". */
export const fullMonthText = (day: Day): string => format(dateOfDay(day), "MMMM yyyy");

/** "January" to "December". */
export const monthNames = (): string[] => Array.from({ length: 12 }, (_, month) => format(new Date(2027, month, 1), "MMMM"));

/** A range as "25 Jan – 21 Mar 2027". */
export function rangeText({ start, stop }: Range): string {
  const [first, last] = [dateOfDay(start), dateOfDay(stop - 1)];
  return `${format(first, first.getFullYear() === last.getFullYear() ? "d MMM" : "d MMM yyyy")} – ${format(last, "d MMM yyyy")}`;
}

/** The two lines of a column's heading. One that the window cuts says which days of it are shown. */
export function periodHeading(period: Range, grain: Grain, settings: PeriodSettings): { main: string; side: string } {
  const { start, stop } = period;
  const whole = periodStart(start, grain, settings);
  const date = dateOfDay(grain === "week" || grain === "day" ? start : whole);
  const cut = isCut(period, grain, settings) ? cutText(period) : null;
  switch (grain) {
    case "day":
      return { main: format(date, "d MMM"), side: format(date, "EEE") };
    case "week":
      return { main: format(date, "d MMM"), side: cut === null ? `wk ${isoWeekOf(whole + 3)}` : countText(stop - start, "day") };
    case "month":
      return { main: format(date, "MMM"), side: cut ?? format(date, "yyyy") };
    case "quarter":
      return { main: `Q${quarterOf(whole, settings)}`, side: cut ?? fiscalYearText(whole, settings) };
    case "year":
      return { main: fiscalYearText(whole, settings), side: cut ?? "" };
  }
}

/** The days of a period that is cut: "8–28" within a month, else "8 Feb – 14 Mar". */
function cutText({ start, stop }: Range): string {
  const [first, last] = [dateOfDay(start), dateOfDay(stop - 1)];
  if (first.getMonth() !== last.getMonth() || first.getFullYear() !== last.getFullYear())
    return `${shortDay(start)} – ${shortDay(stop - 1)}`;
  return start === stop - 1 ? format(first, "d") : `${format(first, "d")}–${format(last, "d")}`;
}

/** The quarter of the fiscal year that a day falls into, 1 … 4. */
function quarterOf(day: Day, { fiscalYearStartMonth }: PeriodSettings): number {
  return Math.floor(((dateOf(day).month - fiscalYearStartMonth + 12) % 12) / 3) + 1;
}

/** The fiscal year of a day: "2027", or "2027/28" where it runs into another one. */
function fiscalYearText(day: Day, settings: PeriodSettings): string {
  const { year } = dateOf(periodStart(day, "year", settings));
  return settings.fiscalYearStartMonth === 1 ? String(year) : `${year}/${String((year + 1) % 100).padStart(2, "0")}`;
}

/** A period named in a sentence: "week of 8 February", "9 February", "February 2027", "8 Feb – 14 Feb 2027". */
export function periodPhrase({ start, stop }: Range): string {
  const date = dateOfDay(start);
  if (stop - start === 1) return format(date, "EEEE d MMMM");
  if (stop - start === 7) return `week of ${format(date, "d MMMM")}`;
  const { year, month, dayOfMonth } = dateOf(start);
  if (dayOfMonth === 1 && dayOfDate(year, month + 1, 1) === stop) return format(date, "MMMM yyyy");
  return rangeText({ start, stop });
}

/** First letters of the first and last name. */
export function initials(name: string): string {
  const parts = name.split(/\s+/).filter(Boolean);
  return `${parts[0]?.[0] ?? ""}${parts.length > 1 ? (parts.at(-1)?.[0] ?? "") : ""}`.toUpperCase();
}

/** The hue of a project, as a token. */
export const hueOf = (projectRow: number): string => `var(--h${(projectRow % 8) + 1})`;

/** A moment as its reader's clock shows it, `25 Nov 2026, 18:40`. */
export const dateTimeText = (iso: string): string => format(new Date(iso), "d MMM yyyy, HH:mm");
