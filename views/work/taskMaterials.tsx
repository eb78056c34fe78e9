"use client";
// The materials and costs of a task besides work: materials by quantity or per working day, and a fixed cost.
import { X } from "lucide-react";
import { useState } from "react";
import { type Redacted, withoutHidden } from "../../client/seen.ts";
import type { OutlineTask, OutlineWork } from "../../core/answers/outline.ts";
import type { Assignment, Task } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { Button, IconButton } from "../../ui/button.tsx";
import { Choice } from "../../ui/choice.tsx";
import { DraftInput } from "../../ui/draftInput.tsx";
import { Field } from "../../ui/field.tsx";
import { newId } from "../../ui/newId.ts";
import { namedOptions, none, wordOptions } from "../../ui/options.ts";
import { Picker } from "../../ui/picker.tsx";
import { SheetSection } from "../../ui/sheet.tsx";
import { readMoney } from "../../ui/typedMoney.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import type { ProjectHook } from "./useProject.ts";
import { texts } from "./words.ts";

interface Props {
  entry: Redacted<OutlineTask>;
  project: ProjectHook;
}

type Accrual = NonNullable<Task["fixedCostAccrual"]>;

const accrualWords: Record<Accrual, string> = { start: "When it starts", even: "Evenly", end: "When it ends" };
const MOST_UNITS = 1e6;

export function TaskMaterials({ entry, project }: Props) {
  const materials = entry.work.filter(({ kind }) => kind === "material");
  return (
    <SheetSection title={texts.materialAndFixedCost}>
      {materials.map((work) => (
        <MaterialLine key={work.assignment.id} work={work} project={project} />
      ))}
      <AddMaterial entry={entry} project={project} />
      <FixedCost task={withoutHidden<Task>(entry.task)} project={project} />
    </SheetSection>
  );
}

function MaterialLine({ work: { assignment, name, unit = "" }, project }: { work: Redacted<OutlineWork>; project: ProjectHook }) {
  const [isOpen, setOpen] = useState(false);
  const { id, quantity, quantityPerDay } = assignment;
  const isByDay = quantity === undefined;
  const change = (set: MaterialSet) => void project.changeWork(id, set);
  return (
    <div className="py-1">
      <div className="flex items-center gap-2">
        <button
          type="button"
          aria-expanded={isOpen}
          className="min-w-0 flex-1 truncate text-left hover:underline"
          onClick={() => setOpen(!isOpen)}
        >
          {name}
        </button>
        <DraftInput
          value={quantity ?? quantityPerDay ?? 0}
          write={String}
          read={(text) => readAmount(text, 0, MOST_UNITS)}
          onSave={(value) => change(isByDay ? { quantityPerDay: value } : { quantity: value })}
          says={texts.aQuantityOf0}
          aria-label={`${name}, ${unit}${isByDay ? " a day" : ""}`}
          inputMode="decimal"
          width={66}
          isSmall
          isFigure
        />
        <span className="w-[52px] truncate text-side">
          {unit}
          {isByDay && " a day"}
        </span>
        <IconButton label={`Remove ${name} from the task`} onClick={() => void project.removeWork(id)}>
          <X size={14} />
        </IconButton>
      </div>
      {isOpen && <HowItCounts assignment={assignment} onChange={change} />}
    </div>
  );
}

type MaterialSet = Parameters<ProjectHook["changeWork"]>[1];

/** The counting of a material: its quantity for the task or a day, its waste, and its accrual. */
function HowItCounts({ assignment, onChange }: { assignment: Assignment; onChange: (set: MaterialSet) => void }) {
  const { quantity, quantityPerDay, wastePercent = 0, accrual = "start" } = assignment;
  const amount = quantity ?? quantityPerDay ?? 0;
  return (
    <div className="grid grid-cols-2 gap-2 py-1">
      <Field label={texts.stated}>
        <Choice
          value={quantity === undefined ? "day" : "all"}
          options={[
            { value: "all", text: texts.forTheTask },
            { value: "day", text: texts.aWorkingDay },
          ]}
          onChange={(way) =>
            onChange(way === "day" ? { quantity: null, quantityPerDay: amount } : { quantity: amount, quantityPerDay: null })
          }
        />
      </Field>
      <Field label={texts.wastePercent}>
        <DraftInput
          value={wastePercent}
          write={String}
          read={(text) => readAmount(text, 0, 1000)}
          onSave={(value) => onChange({ wastePercent: value === 0 ? null : value })}
          says={texts.aPercentageOf0}
          inputMode="decimal"
        />
      </Field>
      <Field label={texts.counts}>
        <Choice value={accrual} options={wordOptions(accrualWords)} onChange={(next) => onChange({ accrual: next })} />
      </Field>
    </div>
  );
}

function AddMaterial({ entry, project }: Props) {
  const { materials } = useNames();
  const [materialId, setMaterial] = useState("");
  const [quantity, setQuantity] = useState("1");
  const used = new Set(entry.work.map(({ assignment }) => assignment.materialId));
  const left = materials.filter(({ id }) => !used.has(id));
  const read = readAmount(quantity, 0, MOST_UNITS);
  const add = async () => {
    if (!read || materialId === "") return;
    const assignment = { id: newId("work"), taskId: entry.task.id, materialId, quantity: read.value };
    if (await project.edit({ kind: "addAssignment", assignment })) setMaterial("");
  };
  if (left.length === 0) return null;
  return (
    <Unfold title={texts.addAMaterial} look="action">
      <div className="flex items-center gap-2">
        <Picker
          label={texts.material}
          value={materialId}
          options={[none("Currency"), ...namedOptions(left)]}
          onChange={setMaterial}
          width={136}
        />
        <DraftInput
          value={quantity}
          write={(text) => text}
          read={(text) => readAmount(text, 0, MOST_UNITS) && { value: text }}
          onSave={setQuantity}
          says={texts.aQuantityOf0}
          aria-label={texts.quantity}
          width={60}
        />
        <Button disabled={materialId === "" || !read} onClick={() => void add()}>
          {texts.add}
        </Button>
      </div>
    </Unfold>
  );
}

function FixedCost({ task, project }: { task: Task; project: ProjectHook }) {
  const { currency } = usePlanFacts();
  const { fixedCost, fixedCostAccrual = "end" } = task;
  return (
    <div className="grid grid-cols-2 gap-2 pt-2">
      <Field label={`Fixed cost, ${currency}`}>
        <DraftInput
          value={fixedCost === undefined ? "" : fixedCost.toFixed(2)}
          write={(text) => text}
          read={(text) => (text.trim() === "" || readMoney(text) ? { value: text } : null)}
          onSave={(text) => void project.changeTask(task.id, { fixedCost: readMoney(text)?.value ?? null })}
          says={texts.anAmountSuchAs1200}
          placeholder="none"
          inputMode="decimal"
        />
      </Field>
      {fixedCost !== undefined && (
        <Field label={texts.accrues}>
          <Choice
            value={fixedCostAccrual}
            options={wordOptions(accrualWords)}
            onChange={(accrual) => void project.changeTask(task.id, { fixedCostAccrual: accrual })}
          />
        </Field>
      )}
    </div>
  );
}
