import { Teams } from "../../../views/people/teams/teams.tsx";
import { currentAnswer } from "../../host.ts";
import { type SearchParams, windowOfPage } from "../../initial.ts";

export default async function TeamsPage({ searchParams }: { searchParams: SearchParams }) {
  return <Teams initial={await currentAnswer("teams", await windowOfPage(searchParams))} />;
}
