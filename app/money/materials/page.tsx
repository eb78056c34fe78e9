import { Materials } from "../../../views/money/materials.tsx";
import { currentAnswer } from "../../host.ts";
import { moneyAskedBy, type SearchParams } from "../../initial.ts";

export default async function MaterialsPage({ searchParams }: { searchParams: SearchParams }) {
  const { range, grain } = await moneyAskedBy(searchParams);
  return <Materials initial={await currentAnswer("materialNeeds", { range, grain })} />;
}
