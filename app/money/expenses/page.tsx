import { Expenses } from "../../../views/money/expenses.tsx";
import { moneyAskedBy, type SearchParams } from "../../address.ts";
import { currentAnswer } from "../../host.ts";

export default async function ExpensesPage({ searchParams }: { searchParams: SearchParams }) {
  const { pipeline } = await moneyAskedBy(searchParams);
  return <Expenses initial={await currentAnswer("expenses", { pipeline })} />;
}
