"use client";
// Expenses: what is bought for projects, typed in place; planned, committed and paid.
import { Plus } from "lucide-react";
import { parseAsString, useQueryState } from "nuqs";
import { useMemo } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { ExpenseRow } from "../../core/answers/expenses.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { Button } from "../../ui/button.tsx";
import { DataTable } from "../../ui/dataTable.tsx";
import { moneyText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { useNames, usePlanFacts } from "../frame/facts.ts";
import { Empty, Figure } from "../frame/screen.tsx";
import { type ExpenseSet, expenseColumns } from "./expenseColumns.tsx";
import { ExpenseSheet } from "./expenseSheet.tsx";
import { MoneyScreen } from "./moneyScreen.tsx";

const sum = (rows: readonly ExpenseRow[]) => rows.reduce((all, { amount }) => all + amount, 0);

function useExpenses(initial: Initial<AnswerOf<"expenses">>) {
  const session = usePlan();
  const answer = useAnswer("expenses", {}, initial);
  const { projects } = useNames();
  const { today } = usePlanFacts();
  const [openId, setOpenId] = useQueryState("expense", parseAsString.withOptions({ shallow: true }));
  const open = answer.rows.find(({ expense }) => expense.id === openId);
  const columns = useMemo(
    () => expenseColumns((id: string, set: ExpenseSet) => void session.edit({ kind: "changeExpense", id, set }), answer.currency),
    [session, answer.currency],
  );
  const add = async () => {
    const id = newId("expense");
    const projectId = open?.expense.projectId ?? projects[0].id;
    const expense = { id, projectId, name: "New expense", amount: 0, date: formatDay(today), costType: "other" as const };
    if ((await session.edit({ kind: "addExpense", expense })).length === 0) void setOpenId(id);
  };
  return { ...answer, projects, columns, open, setOpenId, add };
}

export function Expenses({ initial }: { initial: Initial<AnswerOf<"expenses">> }) {
  const { rows, currency, suppliers, projects, columns, open, setOpenId, add } = useExpenses(initial);
  const committed = rows.filter(({ expense }) => expense.state === "committed" || expense.state === "paid");
  return (
    <MoneyScreen
      figures={
        <>
          <Figure value={`${currency} ${moneyText(sum(rows))}`} says="planned in all, before tax" />
          <Figure value={`${currency} ${moneyText(sum(committed))}`} says="of it committed or paid" />
        </>
      }
      actions={
        <Button look="main" disabled={projects.length === 0} onClick={() => void add()}>
          <Plus size={14} /> Add expense
        </Button>
      }
      sheet={open && <ExpenseSheet key={open.expense.id} row={open} suppliers={suppliers} onClose={() => void setOpenId(null)} />}
    >
      {rows.length === 0 ? (
        <Empty title="No expenses yet">
          What is bought for a project stands here: hire, freight, travel, licences. Add one, or import a list under People, Import and
          export.
        </Empty>
      ) : (
        <DataTable
          name="expense"
          label={`Expenses in ${currency}`}
          columns={columns}
          rows={rows}
          idOf={({ expense }) => expense.id}
          nameOf={({ expense }) => expense.name}
          selectedId={open?.expense.id ?? null}
          onOpen={({ expense }) => void setOpenId(expense.id)}
        />
      )}
    </MoneyScreen>
  );
}
