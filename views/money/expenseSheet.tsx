"use client";
// One expense: what it is, for which project and task, when it falls and how far it has come.
import { useState } from "react";
import { type Redacted, withoutHidden } from "../../client/seen.ts";
import { usePlan } from "../../client/session.tsx";
import type { ExpenseRow } from "../../core/answers/expenses.ts";
import { formatDay } from "../../core/calendar/day.ts";
import { sumOfFigures } from "../../core/plan/moneySides.ts";
import type { Expense } from "../../core/plan/schema.ts";
import { withSet } from "../../core/values/stated.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { Field, FormFault } from "../../ui/field.tsx";
import { moneyText } from "../../ui/format.ts";
import { newId } from "../../ui/newId.ts";
import { namedOptions, none, type Option, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { keepTyped, typedIn } from "../../ui/typed.ts";
import { CREDIT_HINT, readTypedAmount, writeTypedAmount } from "../../ui/typedMoney.ts";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import type { ExpenseSet } from "./expenseColumns.tsx";
import { readWhen, WHEN_HINT, writeWhen } from "./expenseWhen.ts";
import { TaskField, TypedField } from "./moneyFields.tsx";
import { costTypeWords, stateWords, treatmentWords } from "./moneyWords.ts";
import { texts } from "./words.ts";

const treatments: Option<NonNullable<Redacted<ExpenseRow>["expense"]["treatment"]> | "">[] = [
  none("Not stated"),
  ...wordOptions(treatmentWords),
];

interface SheetProps {
  row: Redacted<ExpenseRow>;
  suppliers: readonly string[];
  onClose: () => void;
}

export function ExpenseSheet({ row, suppliers, onClose }: SheetProps) {
  const expense = withoutHidden<Expense>(row.expense);
  const session = usePlan();
  const [fault, setFault] = useState<string | null>(null);
  const set = async (keys: ExpenseSet) =>
    setFault((await session.edit({ kind: "changeExpense", id: expense.id, set: keys }))[0]?.message ?? null);
  const remove = async () => {
    onClose();
    await session.edit({ kind: "deleteExpense", id: expense.id });
  };
  const parts = { expense, onSet: (keys: ExpenseSet) => void set(keys) };
  return (
    <Sheet title={expense.name} subtitle="An expense" onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <What {...parts} suppliers={suppliers} />
          <Amounts {...parts} />
          <Kinds {...parts} />
          <FormFault>{fault}</FormFault>
        </div>
      </SheetSection>
      <ToPay row={row} />
      <SheetSection>
        <Button look="danger" onClick={() => void remove()}>
          Delete
        </Button>
      </SheetSection>
    </Sheet>
  );
}

/** An expense that is not stored yet: its amount may be missing, and its name empty. */
type Draft = Omit<Expense, "id" | "amount"> & { amount?: number };

const NEW_EXPENSE = "new expense";

interface NewProps {
  /** The first values of a new expense. */
  projectId: string;
  suppliers: readonly string[];
  /** @param id Of the expense that was added; null where none was. */
  onClose: (id: string | null) => void;
}

/** A new expense. It is stored when it is saved; what is typed until then is kept while the browser's tab is open. */
export function NewExpenseSheet({ projectId, suppliers, onClose }: NewProps) {
  const session = usePlan();
  const { today } = usePlanFacts();
  const empty: Draft = { projectId, name: "", date: formatDay(today), costType: "other" };
  const [draft, setDraft] = useState<Draft>(() => ({ ...empty, ...typedIn(NEW_EXPENSE) }));
  const [fault, setFault] = useState<string | null>(null);
  const set = (keys: ExpenseSet) => {
    const next = withSet(draft, keys);
    setDraft(next);
    keepTyped(NEW_EXPENSE, next);
  };
  const clear = () => {
    setDraft(empty);
    keepTyped(NEW_EXPENSE, {});
  };
  const save = async () => {
    const missing = missingIn(draft);
    if (missing !== null) return setFault(missing);
    const expense = { ...draft, amount: draft.amount ?? 0, id: newId("expense") };
    const faults = await session.edit({ kind: "addExpense", expense });
    if (faults.length > 0) return setFault(faults[0].message);
    keepTyped(NEW_EXPENSE, {});
    onClose(expense.id);
  };
  const parts = { expense: draft, onSet: set };
  return (
    <Sheet title={texts.newExpense} subtitle="Not saved yet" onClose={() => onClose(null)}>
      <SheetSection>
        <div className="space-y-3">
          <What {...parts} suppliers={suppliers} isNew />
          <Amounts {...parts} />
          <Kinds {...parts} />
          <FormFault>{fault}</FormFault>
          <div className="flex gap-2">
            <Button look="main" onClick={() => void save()}>
              {texts.save}
            </Button>
            <Button onClick={clear}>{texts.clear}</Button>
          </div>
        </div>
      </SheetSection>
    </Sheet>
  );
}

function missingIn({ name, amount }: Draft): string | null {
  if (name === "") return "Enter the item.";
  return amount === undefined ? "Enter an amount." : null;
}

function ToPay({ row: { amount, tax } }: { row: Redacted<ExpenseRow> }) {
  const { currency } = usePlanFacts();
  return (
    <SheetSection>
      <SumLine figure={moneyText(amount)}>{texts.amount}</SumLine>
      <SumLine figure={moneyText(tax)}>{texts.tax}</SumLine>
      <SumLine figure={`${currency} ${moneyText(sumOfFigures([amount, tax]))}`} isTotal>
        {texts.toPay}
      </SumLine>
    </SheetSection>
  );
}

interface PartProps {
  expense: Draft;
  onSet: (set: ExpenseSet) => void;
}

const words = (text: string) => (text.length > 300 ? null : { value: text.trim() });

/** The item, its work and its supplier. */
function What({ expense, onSet, suppliers, isNew = false }: PartProps & { suppliers: readonly string[]; isNew?: boolean }) {
  const { projects } = useNames();
  return (
    <>
      <TypedField
        label={texts.item}
        value={expense.name}
        read={(text) => (text.trim() === "" && !isNew ? null : words(text))}
        says={texts.item}
        onSave={(name) => onSet({ name })}
      />
      <Field label={texts.project}>
        <Picker value={expense.projectId} options={namedOptions(projects)} onChange={(projectId) => onSet({ projectId, taskId: null })} />
      </Field>
      <TaskField projectId={expense.projectId} taskId={expense.taskId} onChange={(taskId) => onSet({ taskId })} />
      <TypedField
        label={texts.supplier}
        value={expense.supplier ?? ""}
        read={words}
        says={texts.aName}
        list={suppliers}
        onSave={(supplier) => onSet({ supplier: supplier || null })}
      />
    </>
  );
}

/** The amount, its tax, and its dates. */
function Amounts({ expense, onSet }: PartProps) {
  const { currency } = usePlanFacts();
  const { amount } = expense;
  return (
    <>
      <TypedField
        label={`Amount, ${currency}`}
        value={amount === undefined ? "" : writeTypedAmount({ ...expense, amount })}
        read={(text) => ((amount === undefined && text.trim() === "") || readTypedAmount(text) ? { value: text } : null)}
        says={CREDIT_HINT}
        onSave={(text) => onSet({ quantity: null, unitPrice: null, ...readTypedAmount(text)?.value })}
      />
      <TypedField
        label={texts.taxPercent}
        value={expense.taxPercent === undefined ? "" : String(expense.taxPercent)}
        read={(text) => (text.trim() === "" || readAmount(text, 0, 100) ? { value: text } : null)}
        says={texts.from0To100}
        onSave={(text) => onSet({ taxPercent: readAmount(text, 0, 100)?.value ?? null })}
      />
      <TypedField
        label={texts.when}
        value={writeWhen(expense)}
        read={(text) => readWhen(text) && { value: text }}
        says={WHEN_HINT}
        onSave={(text) => onSet({ date: null, from: null, to: null, ...readWhen(text)?.value })}
      />
    </>
  );
}

/** The type, treatment and state of an expense. */
function Kinds({ expense, onSet }: PartProps) {
  return (
    <>
      <Field label={texts.type}>
        <Choice value={expense.costType} options={wordOptions(costTypeWords)} onChange={(costType) => onSet({ costType })} />
      </Field>
      <Field label={texts.capitalOrOperating}>
        <Choice
          value={expense.treatment ?? ""}
          options={treatments}
          onChange={(treatment) => onSet({ treatment: treatment === "" ? null : treatment })}
        />
      </Field>
      <Field label={texts.state}>
        <Choice value={expense.state ?? "planned"} options={wordOptions(stateWords)} onChange={(state) => onSet({ state })} />
      </Field>
    </>
  );
}
