// A person's minutes on a date, rule by rule as the specification states them: slow, and the oracle of the fast way.

import type { Calendar, Person, Plan } from "../core/plan/schema.ts";
import { workMinutes } from "../core/values/units.ts";

/** Dates as they are written: they compare as texts. */
export function nextDate(date: string, days = 1): string {
  return new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

/** 0 for Monday. */
export function weekdayOfDate(date: string): number {
  return (new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7;
}

const covers = ({ from, to }: { from: string; to?: string }, date: string) => from <= date && (to === undefined || date <= to);

export function exceptionOn(calendar: Calendar, date: string): number | null {
  const exception = calendar.exceptions.findLast((own) => covers(own, date));
  return exception === undefined ? null : workMinutes(exception.hours);
}

/** Minutes a calendar works on a date. */
export function calendarMinutes(calendar: Calendar, date: string): number {
  return exceptionOn(calendar, date) ?? workMinutes(calendar.week[weekdayOfDate(date)]);
}

/** A person's plain week on a date: pattern, else calendar. */
export function plainWeekMinutes({ patterns = [] }: Person, calendar: Calendar, date: string): number {
  const week = patterns.findLast((own) => covers(own, date))?.week ?? calendar.week;
  return workMinutes(week[weekdayOfDate(date)]);
}

/** @param isGranted True where requested leave is taken as approved. */
export function plainCapacity(plan: Plan, person: Person, date: string, isGranted = false): { regular: number; overtime: number } {
  const from = person.employedFrom ?? plan.settings.planStart;
  if (date < from || (person.employedTo !== undefined && date > person.employedTo)) return { regular: 0, overtime: 0 };
  const calendar = plan.calendars.find(({ id }) => id === person.calendarId) as Calendar;
  const exception = exceptionOn(calendar, date);
  const hasPattern = (person.patterns ?? []).some((own) => covers(own, date));
  let regular = plainWeekMinutes(person, calendar, date);
  if (exception !== null) regular = hasPattern ? Math.min(regular, exception) : exception;
  let overtime = (person.overtime ?? []).filter((own) => covers(own, date)).reduce((sum, own) => sum + workMinutes(own.hoursPerDay), 0);
  for (const off of person.timeOff ?? []) {
    if (!covers(off, date) || !(off.state === "approved" || (isGranted && off.state === "requested"))) continue;
    if (off.hoursPerDay !== undefined) regular = Math.max(0, regular - workMinutes(off.hoursPerDay));
    else [regular, overtime] = [0, 0];
  }
  return { regular, overtime };
}
