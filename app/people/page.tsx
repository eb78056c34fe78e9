import { People } from "../../views/people/people.tsx";
import { currentAnswer } from "../host.ts";
import { type SearchParams, windowOfPage } from "../initial.ts";

export default async function PeoplePage({ searchParams }: { searchParams: SearchParams }) {
  return <People initial={await currentAnswer("roster", await windowOfPage(searchParams))} />;
}
