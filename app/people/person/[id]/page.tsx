import { dateOf } from "../../../../core/calendar/day.ts";
import { yearOf, yearRange } from "../../../../ui/years.ts";
import { PersonPage } from "../../../../views/people/person/person.tsx";
import { oneParam, type SearchParams, windowOfPage } from "../../../address.ts";
import { currentAnswer } from "../../../host.ts";

interface Props {
  params: Promise<{ id: string }>;
  searchParams: SearchParams;
}

export default async function Page({ params, searchParams }: Props) {
  const personId = decodeURIComponent((await params).id);
  const year = yearOf(await oneParam(searchParams, "year")) ?? dateOf((await windowOfPage(searchParams)).range.start).year;
  return (
    <PersonPage key={personId} personId={personId} initial={await currentAnswer("personYear", { personId, range: yearRange(year) })} />
  );
}
