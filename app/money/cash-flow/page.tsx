import { CashFlow } from "../../../views/money/cashFlow.tsx";
import { cashSettings } from "../../../views/money/moneyParams.ts";
import { moneyAnswerOf, type SearchParams } from "../../address.ts";

export default async function CashFlowPage({ searchParams }: { searchParams: SearchParams }) {
  return <CashFlow initial={await moneyAnswerOf(searchParams, cashSettings)} />;
}
