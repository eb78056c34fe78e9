import { People } from "../../views/people/people.tsx";
import { initialAnswer, type SearchParams, windowOfPage } from "../initial.ts";

export default async function PeoplePage({ searchParams }: { searchParams: SearchParams }) {
  return <People initial={await initialAnswer("roster", await windowOfPage(searchParams))} />;
}
