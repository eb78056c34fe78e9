import { Teams } from "../../../views/people/teams/teams.tsx";
import { type SearchParams, windowOfPage } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function TeamsPage({ searchParams }: { searchParams: SearchParams }) {
  return <Teams initial={await currentAnswer("teams", await windowOfPage(searchParams))} />;
}
