import { currentDay } from "../../client/clock.ts";
import { todayOf } from "../../core/calendar/horizon.ts";
import { namesOf } from "../../core/plan/names.ts";
import { Week } from "../../views/week/week.tsx";
import { weekQueryOf } from "../../views/week/weekQuery.ts";
import { oneParam, type SearchParams } from "../address.ts";
import { currentAnswer, shownPlan } from "../host.ts";

export default async function WeekPage({ searchParams }: { searchParams: SearchParams }) {
  const plan = await shownPlan();
  const params = { person: await oneParam(searchParams, "person"), week: await oneParam(searchParams, "week") };
  return <Week initial={await currentAnswer("week", weekQueryOf(params, namesOf(plan).people, todayOf(plan, currentDay())))} />;
}
