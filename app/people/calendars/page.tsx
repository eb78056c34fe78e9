import { dateOf } from "../../../core/calendar/day.ts";
import { yearOf, yearRange } from "../../../ui/years.ts";
import { Calendars } from "../../../views/people/calendars/calendars.tsx";
import { oneParam, type SearchParams, windowOfPage } from "../../address.ts";
import { currentAnswer, shownPlan } from "../../host.ts";

export default async function CalendarsPage({ searchParams }: { searchParams: SearchParams }) {
  const { calendars } = await shownPlan();
  const asked = await oneParam(searchParams, "calendar");
  const calendarId = calendars.find(({ id }) => id === asked)?.id ?? calendars[0]?.id ?? "";
  const year = yearOf(await oneParam(searchParams, "year")) ?? dateOf((await windowOfPage(searchParams)).range.start).year;
  return <Calendars initial={{ calendarId, answer: await currentAnswer("calendar", { calendarId, range: yearRange(year) }) }} />;
}
