// A calendar's year day by day, with what makes each day so, and who uses it.

import type { Day } from "../calendar/day.ts";
import { calendarMark, type DayMark } from "../calendar/dayMarks.ts";
import type { Range } from "../calendar/periods.ts";
import { WorkingLine } from "../calendar/workingLine.ts";
import type { Model } from "../model.ts";
import { rowById } from "../plan/rows.ts";
import type { Calendar } from "../plan/schema.ts";

export interface CalendarDay {
  day: Day;
  minutes: number;
  plain: number;
  mark: DayMark | null;
}

export interface CalendarYear {
  calendar: Calendar;
  days: CalendarDay[];
  /** Number of people, projects and tasks that use it. */
  people: number;
  projects: number;
  tasks: number;
}

/** A calendar over a range; null where there is none with this id.
 * @param draft What the calendar is to become: the days are shown as they would be then. */
export function calendarYear({ plan, lines }: Model, calendarId: string, range: Range, draft?: Partial<Calendar>): CalendarYear | null {
  const row = rowById(plan.calendars).get(calendarId);
  if (row === undefined) return null;
  const calendar = plan.calendars[row];
  const shown = { ...calendar, ...draft };
  const line = draft ? new WorkingLine(shown, range.start) : lines[row];
  const count = (list: readonly { calendarId?: string }[]) => list.filter((own) => own.calendarId === calendarId).length;
  return {
    calendar,
    days: Array.from({ length: range.stop - range.start }, (_, i) => ({
      day: range.start + i,
      minutes: line.minutesOn(range.start + i),
      plain: line.weekMinutesOn(range.start + i),
      mark: calendarMark(shown, line, range.start + i),
    })),
    people: count(plan.people),
    projects: count(plan.projects),
    tasks: count(plan.tasks),
  };
}
