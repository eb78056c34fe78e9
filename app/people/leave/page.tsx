import { LeaveScreen } from "../../../views/people/leave/leave.tsx";
import { currentAnswer } from "../../host.ts";
import { type SearchParams, windowOfPage } from "../../initial.ts";

export default async function LeavePage({ searchParams }: { searchParams: SearchParams }) {
  const { range } = await windowOfPage(searchParams);
  return <LeaveScreen initial={await currentAnswer("leave", { range })} />;
}
