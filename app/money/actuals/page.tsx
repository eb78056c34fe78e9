import { actualByOf } from "../../../core/answers/actuals.ts";
import { Actuals } from "../../../views/money/actuals/actuals.tsx";
import { oneParam, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function ActualsPage({ searchParams }: { searchParams: SearchParams }) {
  const [by, projectId, baselineId] = await Promise.all(["by", "project", "baseline"].map((name) => oneParam(searchParams, name)));
  return <Actuals initial={await currentAnswer("actuals", { by: actualByOf(by), projectId, baselineId })} />;
}
