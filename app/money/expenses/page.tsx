import { Expenses } from "../../../views/money/expenses.tsx";
import { currentAnswer } from "../../host.ts";

export default async function ExpensesPage() {
  return <Expenses initial={await currentAnswer("expenses", {})} />;
}
