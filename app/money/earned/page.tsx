import { deviationByOf } from "../../../core/status/deviationBy.ts";
import { Earned } from "../../../views/money/earned/earned.tsx";
import { oneParam, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function EarnedPage({ searchParams }: { searchParams: SearchParams }) {
  const [baselineId, by] = await Promise.all(["baseline", "by"].map((name) => oneParam(searchParams, name)));
  return <Earned initial={await currentAnswer("earned", { baselineId, by: deviationByOf(by) })} />;
}
