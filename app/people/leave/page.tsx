import { LeaveScreen } from "../../../views/people/leave/leave.tsx";
import { initialAnswer, type SearchParams, windowOfPage } from "../../initial.ts";

export default async function LeavePage({ searchParams }: { searchParams: SearchParams }) {
  const { range } = await windowOfPage(searchParams);
  return <LeaveScreen initial={await initialAnswer("leave", { range })} />;
}
