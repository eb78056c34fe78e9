"use client";
// One expense: what it is, for which project and task, when it falls and how far it has come.
import { useState } from "react";
import { useMaybeAnswer, usePlan } from "../../client/session.tsx";
import type { ExpenseRow } from "../../core/answers/expenses.ts";
import type { Expense } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field } from "../../ui/field.tsx";
import { moneyText } from "../../ui/format.ts";
import { namedOptions, none, type Option, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { MONEY_HINT, readMoney } from "../../ui/typedMoney.ts";
import { useNames, usePlanFacts } from "../frame/facts.ts";
import type { ExpenseSet } from "./expenseColumns.tsx";
import { readWhen, WHEN_HINT, writeWhen } from "./expenseWhen.ts";
import { costTypeWords, stateWords, treatmentWords } from "./moneyWords.ts";

export function ExpenseSheet({
  row: { expense, amount, tax },
  suppliers,
  onClose,
}: {
  row: ExpenseRow;
  suppliers: readonly string[];
  onClose: () => void;
}) {
  const session = usePlan();
  const { projects } = useNames();
  const { currency } = usePlanFacts();
  const [fault, setFault] = useState<string | null>(null);
  const set = async (keys: ExpenseSet) =>
    setFault((await session.edit({ kind: "changeExpense", id: expense.id, set: keys }))[0]?.message ?? null);
  const remove = async () => {
    onClose();
    await session.edit({ kind: "deleteExpense", id: expense.id });
  };
  const words = (text: string) => (text.length > 300 ? null : { value: text.trim() });
  return (
    <Sheet title={expense.name} subtitle="An expense" onClose={onClose}>
      <SheetSection>
        <div className="space-y-3">
          <Typed
            label="What is bought"
            value={expense.name}
            read={(text) => (text.trim() === "" ? null : words(text))}
            says="What is bought"
            onSave={(name) => void set({ name })}
          />
          <Field label="Project">
            <Picker
              value={expense.projectId}
              options={namedOptions(projects)}
              onChange={(projectId) => void set({ projectId, taskId: null })}
            />
          </Field>
          <TaskField projectId={expense.projectId} taskId={expense.taskId} onChange={(taskId) => void set({ taskId })} />
          <Typed
            label="Supplier"
            value={expense.supplier ?? ""}
            read={words}
            says="A name"
            list={suppliers}
            onSave={(supplier) => void set({ supplier: supplier || null })}
          />
          <Amounts expense={expense} onSet={(keys) => void set(keys)} />
          <Kinds expense={expense} onSet={(keys) => void set(keys)} />
          {fault && (
            <p role="alert" className="text-over">
              {fault}
            </p>
          )}
        </div>
      </SheetSection>
      <SheetSection>
        <SumLine figure={moneyText(amount)}>Amount</SumLine>
        <SumLine figure={moneyText(tax)}>Tax</SumLine>
        <SumLine figure={`${currency} ${moneyText(amount + tax)}`} isTotal>
          To pay
        </SumLine>
      </SheetSection>
      <SheetSection>
        <Button look="danger" onClick={() => void remove()}>
          Delete
        </Button>
      </SheetSection>
    </Sheet>
  );
}

interface PartProps {
  expense: Expense;
  onSet: (set: ExpenseSet) => void;
}

/** How much, with which tax, and when. */
function Amounts({ expense, onSet }: PartProps) {
  const { currency } = usePlanFacts();
  return (
    <>
      <Typed
        label={`Amount, ${currency}`}
        value={expense.amount.toFixed(2)}
        read={(text) => readMoney(text) && { value: text }}
        says={MONEY_HINT}
        onSave={(text) => onSet({ amount: readMoney(text)?.value ?? 0 })}
      />
      <Typed
        label="Tax, %"
        value={expense.taxPercent === undefined ? "" : String(expense.taxPercent)}
        read={(text) => (text.trim() === "" || readAmount(text, 0, 100) ? { value: text } : null)}
        says="From 0 to 100, or empty"
        onSave={(text) => onSet({ taxPercent: readAmount(text, 0, 100)?.value ?? null })}
      />
      <Typed
        label="When"
        value={writeWhen(expense)}
        read={(text) => readWhen(text) && { value: text }}
        says={WHEN_HINT}
        onSave={(text) => onSet({ date: null, from: null, to: null, ...readWhen(text)?.value })}
      />
    </>
  );
}

/** What it is, how it counts, and how far it has come. */
function Kinds({ expense, onSet }: PartProps) {
  return (
    <>
      <Field label="Type">
        <Choice value={expense.costType} options={wordOptions(costTypeWords)} onChange={(costType) => onSet({ costType })} />
      </Field>
      <Field label="Capital or operating">
        <Choice
          value={expense.treatment ?? ""}
          options={[none("Not stated"), ...(wordOptions(treatmentWords) as Option<"" | "capital" | "operating">[])]}
          onChange={(treatment) => onSet({ treatment: treatment === "" ? null : treatment })}
        />
      </Field>
      <Field label="State">
        <Choice value={expense.state ?? "planned"} options={wordOptions(stateWords)} onChange={(state) => onSet({ state })} />
      </Field>
    </>
  );
}

function TaskField({
  projectId,
  taskId = "",
  onChange,
}: {
  projectId: string;
  taskId?: string;
  onChange: (taskId: string | null) => void;
}) {
  const outline = useMaybeAnswer("outline", { projectId }, null);
  const tasks = (outline?.tasks ?? []).map(({ task }) => task);
  return (
    <Field label="Task">
      <Picker value={taskId} options={[none("The project as a whole"), ...namedOptions(tasks)]} onChange={(id) => onChange(id || null)} />
    </Field>
  );
}

interface TypedProps {
  label: string;
  value: string;
  read: (text: string) => { value: string } | null;
  says: string;
  list?: readonly string[];
  onSave: (value: string) => void;
}

function Typed({ label, value, read, says, list, onSave }: TypedProps) {
  const listId = `list-${label}`;
  return (
    <Field label={label}>
      <DraftInput value={value} write={(text) => text} read={read} onSave={onSave} says={says} {...(list && { list: listId })} />
      {list && (
        <datalist id={listId}>
          {list.map((own) => (
            <option key={own} value={own} />
          ))}
        </datalist>
      )}
    </Field>
  );
}
