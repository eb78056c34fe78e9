import { Teams } from "../../../views/people/teams/teams.tsx";
import { initialAnswer, type SearchParams, windowOfPage } from "../../initial.ts";

export default async function TeamsPage({ searchParams }: { searchParams: SearchParams }) {
  return <Teams initial={await initialAnswer("teams", await windowOfPage(searchParams))} />;
}
