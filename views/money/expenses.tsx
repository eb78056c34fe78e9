"use client";
// Expenses: what is bought for projects, typed in place; planned, committed and paid.
import { Plus } from "lucide-react";
import { parseAsString, useQueryState } from "nuqs";
import { useMemo, useState } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import type { Redacted } from "../../client/seen.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import type { ExpenseRow } from "../../core/answers/expenses.ts";
import { sumOfFigures } from "../../core/plan/moneySides.ts";
import { Button } from "../../ui/button.tsx";
import { moneyText } from "../../ui/format.ts";
import { DataTable } from "../../ui/table/dataTable.tsx";
import { Empty, Figure } from "../frame/screen.tsx";
import { PipelineChoice } from "../periods/pipelineChoice.tsx";
import { useNames } from "../scope/facts.ts";
import { type ExpenseSet, expenseColumns } from "./expenseColumns.tsx";
import { ExpenseSheet, NewExpenseSheet } from "./expenseSheet.tsx";
import { MoneyScreen } from "./moneyScreen.tsx";
import { useMoneyParams } from "./useMoney.ts";
import { texts } from "./words.ts";

const sum = (rows: readonly Redacted<ExpenseRow>[]) => sumOfFigures(rows.map(({ counted }) => counted));

function useExpenses(initial: Initial<AnswerOf<"expenses">>) {
  const session = usePlan();
  const { params, setParams } = useMoneyParams();
  const { pipeline } = params;
  const answer = useAnswer("expenses", { pipeline }, initial);
  const { projects } = useNames();
  const [openId, setOpenId] = useQueryState("expense", parseAsString.withOptions({ shallow: true }));
  const open = answer.rows.find(({ expense }) => expense.id === openId);
  const columns = useMemo(
    () => expenseColumns((id: string, set: ExpenseSet) => void session.edit({ kind: "changeExpense", id, set }), answer.currency),
    [session, answer.currency],
  );
  const [isAdding, setIsAdding] = useState(false);
  return { ...answer, projects, columns, open, setOpenId, isAdding, setIsAdding, pipeline, setParams };
}

export function Expenses({ initial }: { initial: Initial<AnswerOf<"expenses">> }) {
  const { rows, currency, suppliers, projects, columns, open, setOpenId, isAdding, setIsAdding, pipeline, setParams } =
    useExpenses(initial);
  const committed = rows.filter(({ expense }) => expense.state === "committed" || expense.state === "paid");
  return (
    <MoneyScreen
      figures={
        <>
          <Figure value={`${currency} ${moneyText(sum(rows))}`} says={texts.beforeTax} />
          <Figure value={`${currency} ${moneyText(sum(committed))}`} says={texts.committedOrPaid} />
        </>
      }
      actions={
        <>
          <PipelineChoice value={pipeline} onChange={(next) => setParams({ pipeline: next })} />
          <Button look="main" disabled={projects.length === 0} onClick={() => setIsAdding(true)}>
            <Plus size={14} /> Add expense
          </Button>
        </>
      }
      sheet={
        isAdding ? (
          <NewExpenseSheet
            projectId={open?.expense.projectId ?? projects[0].id}
            suppliers={suppliers}
            onClose={(id) => {
              setIsAdding(false);
              if (id !== null) void setOpenId(id);
            }}
          />
        ) : (
          open && <ExpenseSheet key={open.expense.id} row={open} suppliers={suppliers} onClose={() => void setOpenId(null)} />
        )
      }
    >
      {rows.length === 0 ? (
        <Empty title={texts.noExpensesYet}>{texts.purchasesForProjectsHireFreight}</Empty>
      ) : (
        <DataTable
          name="expense"
          label={`Expenses in ${currency}`}
          columns={columns}
          rows={rows}
          idOf={({ expense }) => expense.id}
          nameOf={({ expense }) => expense.name}
          selectedId={open?.expense.id ?? null}
          onOpen={({ expense }) => {
            setIsAdding(false);
            void setOpenId(expense.id);
          }}
        />
      )}
    </MoneyScreen>
  );
}
