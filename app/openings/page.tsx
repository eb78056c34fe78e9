import { Openings } from "../../views/openings/openings.tsx";
import { oneParam, type SearchParams } from "../address.ts";
import { answerNow, currentAnswer } from "../host.ts";

export default async function OpeningsPage({ searchParams }: { searchParams: SearchParams }) {
  const pipeline = (await oneParam(searchParams, "pipeline")) === "true";
  const { data } = await answerNow("openings", { pipeline });
  const openingId = (await oneParam(searchParams, "opening")) ?? data[0]?.id ?? "";
  return <Openings initial={await currentAnswer("openings", { pipeline })} candidates={await currentAnswer("candidates", { openingId })} />;
}
