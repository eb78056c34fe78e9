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
import { Field, FormFault } from "../../ui/field.tsx";
import { moneyText } from "../../ui/format.ts";
import { namedOptions, none, type Option, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { Sheet, SheetSection, SumLine } from "../../ui/sheet.tsx";
import { MONEY_HINT, readMoney } from "../../ui/typedMoney.ts";
import { useNames, usePlanFacts } from "../frame/facts.ts";
import type { ExpenseSet } from "./expenseColumns.tsx";
import { readWhen, WHEN_HINT, writeWhen } from "./expenseWhen.ts";
import { costTypeWords, stateWords, treatmentWords } from "./moneyWords.ts";

const treatments: Option<NonNullable<ExpenseRow["expense"]["treatment"]> | "">[] = [none("Not stated"), ...wordOptions(treatmentWords)];

interface SheetProps {
  row: ExpenseRow;
  suppliers: readonly string[];
  onClose: () => void;
}

export function ExpenseSheet({ row, suppliers, onClose }: SheetProps) {
  const { expense } = row;
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

function ToPay({ row: { amount, tax } }: { row: ExpenseRow }) {
  const { currency } = usePlanFacts();
  return (
    <SheetSection>
      <SumLine figure={moneyText(amount)}>Amount</SumLine>
      <SumLine figure={moneyText(tax)}>Tax</SumLine>
      <SumLine figure={`${currency} ${moneyText(amount + tax)}`} isTotal>
        To pay
      </SumLine>
    </SheetSection>
  );
}

interface PartProps {
  expense: Expense;
  onSet: (set: ExpenseSet) => void;
}

const words = (text: string) => (text.length > 300 ? null : { value: text.trim() });

/** What is bought, for which work, from whom. */
function What({ expense, onSet, suppliers }: PartProps & { suppliers: readonly string[] }) {
  const { projects } = useNames();
  return (
    <>
      <Typed
        label="What is bought"
        value={expense.name}
        read={(text) => (text.trim() === "" ? null : words(text))}
        says="What is bought"
        onSave={(name) => onSet({ name })}
      />
      <Field label="Project">
        <Picker value={expense.projectId} options={namedOptions(projects)} onChange={(projectId) => onSet({ projectId, taskId: null })} />
      </Field>
      <TaskField projectId={expense.projectId} taskId={expense.taskId} onChange={(taskId) => onSet({ taskId })} />
      <Typed
        label="Supplier"
        value={expense.supplier ?? ""}
        read={words}
        says="A name"
        list={suppliers}
        onSave={(supplier) => onSet({ supplier: supplier || null })}
      />
    </>
  );
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
          options={treatments}
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
