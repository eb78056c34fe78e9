import { Openings } from "../../views/openings/openings.tsx";
import { currentAnswer } from "../host.ts";
import { oneParam, type SearchParams } from "../initial.ts";

export default async function OpeningsPage({ searchParams }: { searchParams: SearchParams }) {
  const pipeline = (await oneParam(searchParams, "pipeline")) === "true";
  const openings = await currentAnswer("openings", { pipeline });
  const openingId = (await oneParam(searchParams, "opening")) ?? openings.data[0]?.id ?? "";
  return <Openings initial={openings} candidates={await currentAnswer("candidates", { openingId })} />;
}
