// The person and the week in the address, as page and screen read them.
import type { WeekQuery } from "../../core/answers/week.ts";
import { type Day, parseDay } from "../../core/calendar/day.ts";
import { isCalendarDate } from "../../core/values/calendarDate.ts";

/** The query of a week: the first person and this week where the address names none. */
export function weekQueryOf(
  { person, week }: { person: string | null; week: string | null },
  people: readonly { id: string }[],
  today: Day,
): WeekQuery {
  const day = week !== null && isCalendarDate(week) ? parseDay(week) : today;
  return { personId: person ?? people[0]?.id ?? "", day, added: [] };
}
