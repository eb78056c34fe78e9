import { Earned } from "../../../views/money/earned/earned.tsx";
import { oneParam, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function EarnedPage({ searchParams }: { searchParams: SearchParams }) {
  return <Earned initial={await currentAnswer("earned", { baselineId: await oneParam(searchParams, "baseline") })} />;
}
