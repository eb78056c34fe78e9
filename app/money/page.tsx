import { Money } from "../../views/money/money.tsx";
import type { SearchParams } from "../initial.ts";
import { moneyAnswerOf } from "../initial.ts";

export default async function MoneyPage({ searchParams }: { searchParams: SearchParams }) {
  return <Money initial={await moneyAnswerOf(searchParams)} />;
}
