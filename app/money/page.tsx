import { Money } from "../../views/money/money.tsx";
import type { SearchParams } from "../address.ts";
import { moneyAnswerOf } from "../address.ts";

export default async function MoneyPage({ searchParams }: { searchParams: SearchParams }) {
  return <Money initial={await moneyAnswerOf(searchParams)} />;
}
