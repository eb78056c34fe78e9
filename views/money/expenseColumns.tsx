// The columns of the list of expenses: most of it is typed in its cell.

import { type Redacted, withoutHidden } from "../../client/seen.ts";
import type { ExpenseRow } from "../../core/answers/expenses.ts";
import type { SingleEdit } from "../../core/edits/edit.ts";
import { majorOf, shownOr } from "../../core/plan/moneySides.ts";
import type { Expense } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { moneyText } from "../../ui/format.ts";
import { ProjectName } from "../../ui/projectName.tsx";
import type { TableColumn } from "../../ui/table/column.ts";
import { CREDIT_HINT, readTypedAmount, writeTypedAmount } from "../../ui/typedMoney.ts";
import { readWhen, WHEN_HINT, writeWhen } from "./expenseWhen.ts";
import { costTypeWords, stateWords, treatmentWords } from "./moneyWords.ts";
import { texts } from "./words.ts";

export type ExpenseSet = Extract<SingleEdit, { kind: "changeExpense" }>["set"];
type Change = (id: string, set: ExpenseSet) => void;

export function expenseColumns(change: Change, currency: string): TableColumn<Redacted<ExpenseRow>>[] {
  return [
    text("name", "Expense", change, true),
    projectColumn,
    text("supplier", "Supplier", change, false),
    typeColumn,
    whenColumn(change),
    amountColumn(change, currency),
    taxColumn(change, currency),
    stateColumn,
    treatmentColumn,
  ];
}

function text(key: "name" | "supplier", head: string, change: Change, isNeeded: boolean): TableColumn<Redacted<ExpenseRow>> {
  return {
    id: key,
    head,
    width: isNeeded ? 216 : 120,
    grow: isNeeded ? 1.4 : 1,
    ...(isNeeded && { isRowHead: true, isSticky: true }),
    value: ({ expense }) => expense[key] ?? null,
    cell: ({ expense }) => <span className={`truncate ${isNeeded ? "font-medium" : ""}`}>{expense[key] ?? "–"}</span>,
    edit: () => ({
      write: ({ expense }) => expense[key] ?? "",
      read: (typed) => (typed.length > 300 || (isNeeded && typed.trim() === "") ? null : { value: typed.trim() }),
      says: isNeeded ? texts.item : texts.supplierOrEmpty,
      onSave: ({ expense }, typed) => change(expense.id, { [key]: typed.trim() || null }),
    }),
  };
}

const projectColumn: TableColumn<Redacted<ExpenseRow>> = {
  id: "project",
  head: texts.project,
  width: 170,
  grow: 1,
  value: ({ projectName }) => projectName,
  cell: ({ projectName, projectRow }) => <ProjectName row={projectRow} name={projectName} />,
};

const typeColumn: TableColumn<Redacted<ExpenseRow>> = {
  id: "type",
  head: texts.type,
  width: 104,
  value: ({ expense }) => costTypeWords[expense.costType],
  cell: ({ expense }) => <span className="truncate">{costTypeWords[expense.costType]}</span>,
};

const whenColumn = (change: Change): TableColumn<Redacted<ExpenseRow>> => ({
  id: "when",
  head: texts.when,
  width: 188,
  value: ({ expense }) => expense.date ?? expense.from ?? "",
  copied: ({ expense }) => writeWhen(expense),
  cell: ({ expense }) => <span className="truncate">{writeWhen(expense)}</span>,
  edit: () => ({
    write: ({ expense }) => writeWhen(expense),
    read: readWhen,
    says: WHEN_HINT,
    onSave: ({ expense }, typed) => change(expense.id, { date: null, from: null, to: null, ...readWhen(typed)?.value }),
  }),
});

const amountColumn = (change: Change, currency: string): TableColumn<Redacted<ExpenseRow>> => ({
  id: "amount",
  head: `Amount, ${currency}`,
  width: 112,
  isFigure: true,
  value: ({ expense }) => shownOr(expense.amount, null),
  cell: ({ amount, expense }) => (
    <span title={expense.quantity === undefined ? undefined : writeTypedAmount(withoutHidden<Expense>(expense))}>{moneyText(amount)}</span>
  ),
  edit: () => ({
    write: ({ expense }) => writeTypedAmount(withoutHidden<Expense>(expense)),
    read: readTypedAmount,
    says: CREDIT_HINT,
    onSave: ({ expense }, typed) => change(expense.id, { quantity: null, unitPrice: null, ...readTypedAmount(typed)?.value }),
  }),
});

const taxColumn = (change: Change, currency: string): TableColumn<Redacted<ExpenseRow>> => ({
  id: "tax",
  head: `Tax, ${currency}`,
  width: 96,
  isFigure: true,
  value: ({ tax }) => majorOf(tax),
  cell: ({ tax, expense }) =>
    expense.taxPercent === undefined ? (
      <span className="text-ink-3">–</span>
    ) : (
      <span title={`${expense.taxPercent}%`}>{moneyText(tax)}</span>
    ),
  edit: () => ({
    write: ({ expense }) => (expense.taxPercent === undefined ? "" : String(expense.taxPercent)),
    read: (typed) => (typed.trim() === "" ? { value: null } : readAmount(typed.replace("%", ""), 0, 100)),
    says: texts.aPercentageFrom0,
    onSave: ({ expense }, typed) =>
      change(expense.id, { taxPercent: typed.trim() === "" ? null : (readAmount(typed.replace("%", ""), 0, 100)?.value ?? null) }),
  }),
});

const stateColumn: TableColumn<Redacted<ExpenseRow>> = {
  id: "state",
  head: texts.state,
  width: 96,
  value: ({ expense }) => expense.state ?? "planned",
  cell: ({ expense }) => stateWords[expense.state ?? "planned"],
};

const treatmentColumn: TableColumn<Redacted<ExpenseRow>> = {
  id: "treatment",
  head: texts.capitalOrOperating,
  width: 150,
  value: ({ expense }) => (expense.treatment ? treatmentWords[expense.treatment] : null),
  cell: ({ expense }) => (expense.treatment ? treatmentWords[expense.treatment] : <span className="text-ink-3">–</span>),
};
