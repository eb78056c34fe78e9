import { People } from "../../views/people/people.tsx";
import { type SearchParams, windowOfPage } from "../address.ts";
import { currentAnswer } from "../host.ts";

export default async function PeoplePage({ searchParams }: { searchParams: SearchParams }) {
  return <People initial={await currentAnswer("roster", await windowOfPage(searchParams))} />;
}
