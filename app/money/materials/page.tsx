import { Materials } from "../../../views/money/materials.tsx";
import { moneyAskedBy, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function MaterialsPage({ searchParams }: { searchParams: SearchParams }) {
  const { range, grain, pipeline } = await moneyAskedBy(searchParams);
  return <Materials initial={await currentAnswer("materialNeeds", { range, grain, pipeline })} />;
}
