import { Margin } from "../../../views/money/margin.tsx";
import { moneyAskedBy, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function MarginPage({ searchParams }: { searchParams: SearchParams }) {
  const { pipeline } = await moneyAskedBy(searchParams);
  return <Margin initial={await currentAnswer("margins", { pipeline })} />;
}
