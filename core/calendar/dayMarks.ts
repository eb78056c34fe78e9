// The explanation of a day of a person's capacity: the marks that a calendar strip shows and names.
import type { Calendar, Person, TimeOff } from "../plan/schema.ts";
import { patternOn, weekMinutesOf } from "./capacity.ts";
import { type Day, parseDay } from "./day.ts";
import type { WorkingLine } from "./workingLine.ts";

export type MarkKind = "notEmployed" | "free" | "holiday" | "shortDay" | "extraDay" | "approved" | "requested" | "declined" | "overtime";

/** One mark of a day, with its name where it has one. */
export interface DayMark {
  kind: MarkKind;
  name?: string;
  /** Hours of a part day off, or of overtime. */
  hours?: number;
}

/** The exception of a calendar that counts on a day: the later one in the list wins. */
export function exceptionOn(calendar: Calendar, day: Day): Calendar["exceptions"][number] | undefined {
  return calendar.exceptions.findLast(({ from, to }) => covers({ from, to }, day));
}

/** The mark of a calendar's day: free by its week, or changed by an exception; none for a plain working day. */
export function calendarMark(calendar: Calendar, line: WorkingLine, day: Day): DayMark | null {
  return weekMark(exceptionOn(calendar, day), line.weekMinutesOn(day), line.minutesOn(day));
}

/** The mark of an exception on a day with `plain` minutes in the week and `minutes` in fact. */
function weekMark(exception: Calendar["exceptions"][number] | undefined, plain: number, minutes: number): DayMark | null {
  if (exception?.hours === 0) return { kind: "holiday", name: exception.name };
  if (exception && minutes !== plain) return { kind: minutes < plain ? "shortDay" : "extraDay", name: exception.name };
  return plain === 0 ? { kind: "free" } : null;
}

/** All marks of a person's day, employment first; a day without any is a plain working day. */
export function personMarks(person: Person, calendar: Calendar, line: WorkingLine, planStart: Day, day: Day): DayMark[] {
  if (!isEmployedOn(person, planStart, day)) return [{ kind: "notEmployed" }];
  const marks: DayMark[] = [];
  const exception = exceptionOn(calendar, day);
  const plain = weekMinutesOf(person, line, day);
  // A person's own week is only ever shortened by an exception, never lengthened.
  const changed = exception ? line.minutesOn(day) : plain;
  const ofWeek = weekMark(exception, plain, patternOn(person, day) ? Math.min(plain, changed) : changed);
  if (ofWeek) marks.push(ofWeek);
  for (const off of person.timeOff ?? []) if (covers(off, day)) marks.push(timeOffMark(off));
  const isAway = (person.timeOff ?? []).some((off) => off.state === "approved" && off.hoursPerDay === undefined && covers(off, day));
  const overtime = (person.overtime ?? []).filter((entry) => covers(entry, day)).reduce((sum, { hoursPerDay }) => sum + hoursPerDay, 0);
  if (overtime > 0 && !isAway) marks.push({ kind: "overtime", hours: overtime });
  return marks;
}

function timeOffMark({ state, kind, note, hoursPerDay }: TimeOff): DayMark {
  return { kind: state, name: note === undefined ? kind : `${kind}, ${note}`, ...(hoursPerDay !== undefined && { hours: hoursPerDay }) };
}

/** True while a person is employed; without a first day, from the plan's start. */
export function isEmployedOn({ employedFrom, employedTo }: Person, planStart: Day, day: Day): boolean {
  const from = employedFrom === undefined ? planStart : parseDay(employedFrom);
  return day >= from && (employedTo === undefined || day <= parseDay(employedTo));
}

function covers({ from, to }: { from: string; to: string }, day: Day): boolean {
  return parseDay(from) <= day && parseDay(to) >= day;
}
