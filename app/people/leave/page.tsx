import { LeaveScreen } from "../../../views/people/leave/leave.tsx";
import { type SearchParams, windowOfPage } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function LeavePage({ searchParams }: { searchParams: SearchParams }) {
  const { range } = await windowOfPage(searchParams);
  return <LeaveScreen initial={await currentAnswer("leave", { range })} />;
}
