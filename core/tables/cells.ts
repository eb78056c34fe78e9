// Reading single cells: dates, numbers and words as people write them, names that a plan knows.

import { type Figure, isHidden } from "../plan/moneySides.ts";
import { isCalendarDate } from "../values/calendarDate.ts";
import { nearestWord } from "../values/nearestWord.ts";
import { entriesOf } from "../values/objectKeys.ts";
import { plainText } from "../values/plainText.ts";
import type { Cell, DateOrder } from "./table.ts";

/** A cell that was read, or the reason why it could not be. */
export type Read<T> = { value: T } | { reason: string };

const two = (digits: string) => digits.padStart(2, "0");

/** A date: YYYY-MM-DD, 8.2.2027 (the day first), 8/2/2027 (as the order says), 8 Feb 2027; or 8.2. and 8 Feb, which mean
 * the first such day from `earliest` on.
 * @param earliest `yyyy-mm-dd`; without it a day needs its year. */
export function dateCell(cell: Cell, order: DateOrder, earliest?: string): Read<string> {
  const text = cell.trim();
  const iso = isoOf(text, order) ?? (earliest === undefined ? null : isoWithoutYear(text, earliest));
  return iso !== null && isCalendarDate(iso)
    ? { value: iso }
    : { reason: `"${text}" is not a date; write a real day as YYYY-MM-DD, or choose how days are written.` };
}

function isoOf(text: string, order: DateOrder): string | null {
  const plain = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ].*)?$/.exec(text);
  if (plain) return `${plain[1]}-${two(plain[2])}-${two(plain[3])}`;
  const signed = /^(\d{1,2})([./-])(\d{1,2})[./-](\d{4})$/.exec(text);
  if (signed) {
    const isDayFirst = signed[2] === "." || order === "dayFirst";
    const [day, month] = isDayFirst ? [signed[1], signed[3]] : [signed[3], signed[1]];
    return `${signed[4]}-${two(month)}-${two(day)}`;
  }
  const worded = /^(\d{1,2})\.? ([A-Za-z]{3})[a-z]*\.? (\d{4})$/.exec(text);
  const month = worded ? MONTHS.indexOf(worded[2].toLowerCase()) + 1 : 0;
  return worded && month > 0 ? `${worded[3]}-${two(String(month))}-${two(worded[1])}` : null;
}

/** A day and a month without a year, in the year that brings it first from a day on. */
function isoWithoutYear(text: string, earliest: string): string | null {
  const read = /^(\d{1,2})\.(\d{1,2})\.$/.exec(text) ?? /^(\d{1,2})\.? ([A-Za-z]{3})[a-z]*\.?$/.exec(text);
  if (!read) return null;
  const month = /^\d/.test(read[2]) ? Number(read[2]) : MONTHS.indexOf(read[2].toLowerCase()) + 1;
  const first = Number(earliest.slice(0, 4));
  // 29 February comes every fourth year, or after eight.
  for (let year = first; year <= first + 8; year++) {
    const iso = `${year}-${two(String(month))}-${two(read[1])}`;
    if (iso >= earliest && isCalendarDate(iso)) return iso;
  }
  return null;
}

const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];

/** A number, with a point or a comma for its fraction; 1.120,5 and 1,120.5 are read too, and so is 20 h or 20 h/week. */
export function numberCell(cell: Cell): Read<number> {
  const text = cell.trim().replace(/\s*(h|hrs?|hours?)\.?(\s*(\/|per|a)\s*(w|wk|week|d|day))?$/i, "");
  const plain = withoutThousands(text);
  return /^[-+]?\d+([.,]\d+)?$/.test(plain) ? { value: Number(plain.replace(",", ".")) } : { reason: `"${cell.trim()}" is not a number.` };
}

/** A number without the signs that set its thousands apart, where these are plain: 1.120 alone stays a fraction. */
function withoutThousands(text: string): string {
  if (/^[-+]?\d{1,3}(\.\d{3})+,\d+$/.test(text) || /^[-+]?\d{1,3}(\.\d{3}){2,}$/.test(text)) return text.replaceAll(".", "");
  if (/^[-+]?\d{1,3}(,\d{3})+\.\d+$/.test(text) || /^[-+]?\d{1,3}(,\d{3}){2,}$/.test(text)) return text.replaceAll(",", "");
  return /^[-+]?\d{1,3}([ \u00a0\u202f'’]\d{3})+([.,]\d+)?$/.test(text) ? text.replaceAll(/[ \u00a0\u202f'’]/g, "") : text;
}

/** Working days, as days (5, 5 d, 5 days) or weeks (3 w, 3 weeks) of so many working days each. */
export function durationCell(cell: Cell, daysOfWeek: number): Read<number> {
  const [, amount, unit = ""] = /^(.*?)\s*(w|wks?|weeks?|wo|wochen?|d|days?|tage?)?\.?$/i.exec(cell.trim()) ?? [];
  const read = numberCell(amount ?? "");
  if ("reason" in read) return { reason: `"${cell.trim()}" is not a duration; write working days, or weeks as 3 w.` };
  return { value: /^w/i.test(unit) ? read.value * daysOfWeek : read.value };
}

/** A text. One that a spreadsheet would run as a formula is refused, unless an apostrophe before it says it is text. */
export function textCell(cell: Cell): Read<string> {
  const text = cell.trim();
  if (/^[=+@-]/.test(text) || /^[\t\r]/.test(cell)) return { reason: `"${text.slice(0, 40)}" begins like a formula; write plain text.` };
  return { value: /^'[=+@-]/.test(text) ? text.slice(1) : text };
}

/** A word that means one of a few values. */
export function wordCell<T extends string>(cell: Cell, words: Record<T, readonly string[]>): Read<T> {
  const said = plainText(cell);
  for (const [value, aliases] of entriesOf(words)) if (plainText(value) === said || aliases.includes(said)) return { value };
  return { reason: `"${cell.trim()}" is not known here; write one of ${Object.keys(words).join(", ")}.` };
}

/** From longer lists no name is suggested: looking through them for every row of a long file would take minutes. */
const MOST_SUGGESTED_FROM = 500;

/** The row of a list that a cell names, by id or by name. */
export function namedCell<T extends { id: string; name: string }>(cell: Cell, list: readonly T[], what: string): Read<T> {
  const text = cell.trim();
  const byId = list.find(({ id }) => id === text);
  if (byId) return { value: byId };
  const said = plainText(text);
  const found = list.filter(({ name }) => plainText(name) === said);
  if (found.length === 1) return { value: found[0] };
  if (found.length > 1) return { reason: `"${text}" names ${found.length} of the ${what}; write the id.` };
  const near =
    list.length > MOST_SUGGESTED_FROM
      ? null
      : nearestWord(
          text,
          list.map(({ name }) => name),
        );
  return { reason: `There is no ${what} "${text}".${near === null ? "" : ` Did you mean "${near}"?`}` };
}

/** Hours and other decimals as they are written on export. */
export const numberText = (value: Figure | undefined): Cell => (value === undefined || isHidden(value) ? "" : String(value));
