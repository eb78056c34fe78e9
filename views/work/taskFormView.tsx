"use client";
// The form of a task: where it stands, how its dates come about, how far it is.
import { zodResolver } from "@hookform/resolvers/zod";
import type { UseFormReturn } from "react-hook-form";
import type { Outline, OutlineTask } from "../../core/answers/outline.ts";
import type { Task } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { Field, TextArea, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { namedOptions, none, textOptions, wordOptions } from "../../ui/options.ts";
import { useFormOver } from "../../ui/useFormOver.ts";
import { useNames } from "../frame/facts.ts";
import { useUnderWay } from "../frame/underWay.ts";
import { fieldsOf, sizings, type TaskFields, taskFields } from "./taskForm.ts";
import { taskStates } from "./taskStates.ts";

type Form = UseFormReturn<TaskFields>;

interface TaskFormProps {
  outline: Outline;
  task: Partial<Task>;
  isSummary: boolean;
  saveText: string;
  onSave: (fields: TaskFields) => Promise<boolean>;
}

export function TaskForm({ outline, task, isSummary, saveText, onSave }: TaskFormProps) {
  const form = useFormOver(fieldsOf(task), zodResolver(taskFields));
  const { register, control, handleSubmit, formState } = form;
  const { errors, isDirty, isSubmitting } = formState;
  useUnderWay("tasks", task.id, isDirty);
  return (
    <form className="space-y-3" noValidate onSubmit={(event) => void handleSubmit(onSave)(event)}>
      <Field label="Name" fault={errors.name?.message}>
        <TextInput {...register("name")} autoFocus={task.id === undefined} />
      </Field>
      <Field label="Below">
        <FormPicker control={control} name="parentId" options={parentOptions(outline, task.id)} />
      </Field>
      {!isSummary && <Sizing form={form} />}
      <div className="grid grid-cols-2 gap-3">
        <Field label="Not before" fault={errors.notBefore?.message}>
          <FormDate control={control} name="notBefore" />
        </Field>
        <Field label="Deadline" fault={errors.deadline?.message}>
          <FormDate control={control} name="deadline" />
        </Field>
      </div>
      {!isSummary && <Progress form={form} />}
      <Field label="Notes" hint="**bold**, *slanted*, - a list, # a heading, [text](address)">
        <TextArea {...register("notes")} rows={3} />
      </Field>
      <Button type="submit" look="main" disabled={isSubmitting || (task.id !== undefined && !isDirty)}>
        {saveText}
      </Button>
    </form>
  );
}

/** The role, and how long it takes or when it is. */
function Sizing({ form: { register, control, watch, formState } }: { form: Form }) {
  const { roles } = useNames();
  const { errors } = formState;
  const sizing = watch("sizing");
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Role">
          <FormPicker control={control} name="roleId" options={[none("No role"), ...namedOptions(roles)]} />
        </Field>
        <Field label="Effort, hours" fault={errors.effortHours?.message}>
          <TextInput {...register("effortHours")} inputMode="decimal" />
        </Field>
      </div>
      <Field label="Dates">
        <FormChoice control={control} name="sizing" options={sizings} />
      </Field>
      {sizing === "dates" && (
        <div className="grid grid-cols-2 gap-3">
          <Field label="Start" fault={errors.start?.message}>
            <FormDate control={control} name="start" />
          </Field>
          <Field label="Finish" fault={errors.finish?.message}>
            <FormDate control={control} name="finish" />
          </Field>
        </div>
      )}
      {sizing === "duration" && (
        <Field label="Working days" fault={errors.durationDays?.message} hint="0 is a milestone">
          <TextInput {...register("durationDays")} inputMode="decimal" />
        </Field>
      )}
    </>
  );
}

function Progress({ form: { register, control, formState } }: { form: Form }) {
  return (
    <>
      <div className="grid grid-cols-3 gap-2">
        <Field label="State">
          <FormChoice control={control} name="state" options={wordOptions(taskStates)} />
        </Field>
        <Field label="Done, %" fault={formState.errors.percentComplete?.message}>
          <TextInput {...register("percentComplete")} inputMode="decimal" />
        </Field>
        <Field label="Priority">
          <FormChoice control={control} name="priority" options={textOptions(["1", "2", "3", "4", "5"])} />
        </Field>
      </div>
      <FormCheckbox control={control} name="atRisk">
        At risk
      </FormCheckbox>
      <Field label="Tags, between commas">
        <TextInput {...register("tags")} />
      </Field>
    </>
  );
}

/** What a task can stand below: summaries and tasks without work, but for itself and what is below it. */
function parentOptions(outline: Outline, id: string | undefined) {
  const fits = (other: OutlineTask) => other.task.id !== id && (other.isSummary || other.work.length === 0) && !isBelow(outline, other, id);
  return [
    none("The project itself"),
    ...outline.tasks.filter(fits).map(({ task: { id: value, name }, depth }) => ({ value, text: name, depth })),
  ];
}

function isBelow(outline: Pick<Outline, "tasks">, entry: OutlineTask, ancestorId: string | undefined): boolean {
  const parent = outline.tasks.find(({ task }) => task.id === entry.task.parentId);
  return parent !== undefined && (parent.task.id === ancestorId || isBelow(outline, parent, ancestorId));
}
