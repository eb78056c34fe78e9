"use client";
// The form of a task: where it is, how its dates come about, how far it is.
import { zodResolver } from "@hookform/resolvers/zod";
import type { UseFormReturn } from "react-hook-form";
import type { Redacted } from "../../client/seen.ts";
import type { Outline, OutlineTask } from "../../core/answers/outline.ts";
import type { Task } from "../../core/plan/schema.ts";
import { Field, TextArea, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { FormEnd } from "../../ui/formEnd.tsx";
import { namedOptions, none, textOptions, wordOptions } from "../../ui/options.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { useFormOver } from "../../ui/useFormOver.ts";
import { useUnderWay } from "../notices/underWay.ts";
import { SkillFields } from "../planFields/skillFields.tsx";
import { useNames } from "../scope/facts.ts";
import { fieldsOf, sizings, type TaskFields, taskFields } from "./taskForm.ts";
import { taskStates } from "./taskStates.ts";
import { texts } from "./words.ts";

type Form = UseFormReturn<TaskFields>;

interface TaskFormProps {
  outline: Redacted<Outline>;
  task: Partial<Task>;
  isSummary: boolean;
  saveText: string;
  onSave: (fields: TaskFields) => Promise<boolean>;
}

export function TaskForm({ outline, task, isSummary, saveText, onSave }: TaskFormProps) {
  const form = useFormOver(`tasks ${task.id ?? `new ${outline.project.id}`}`, fieldsOf(task), zodResolver(taskFields));
  const { register, control, handleSubmit, formState } = form;
  const { errors, isDirty } = formState;
  useUnderWay("tasks", task.id, isDirty);
  const save = async (fields: TaskFields) => {
    if (await onSave(fields)) form.forget();
  };
  return (
    <form className="space-y-3" noValidate onSubmit={(event) => void handleSubmit(save)(event)}>
      <Field label={texts.name} fault={errors.name?.message}>
        <TextInput {...register("name")} autoFocus={task.id === undefined} />
      </Field>
      <Field label={texts.parent}>
        <FormPicker control={control} name="parentId" options={parentOptions(outline, task.id)} />
      </Field>
      {!isSummary && <Sizing form={form} />}
      <div className="field-pair">
        <FormDate label={texts.startNoEarlierThan} control={control} name="notBefore" />
        <FormDate label={texts.deadline} control={control} name="deadline" />
      </div>
      {!isSummary && <Conditions form={form} />}
      {!isSummary && <Progress form={form} isTracked={outline.project.tracking === "recorded"} />}
      <Field label={texts.notes} hint={texts.boldSlantedAList}>
        <TextArea {...register("notes")} rows={3} />
      </Field>
      <FormEnd form={form} saveText={saveText} isNew={task.id === undefined} />
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
      <div className="field-pair">
        <Field label={texts.role}>
          <FormPicker control={control} name="roleId" options={[none("No role"), ...namedOptions(roles)]} />
        </Field>
        <Field label={texts.effortHours} fault={errors.effortHours?.message}>
          <TextInput {...register("effortHours")} inputMode="decimal" />
        </Field>
      </div>
      <Field label={texts.dates}>
        <FormChoice control={control} name="sizing" options={sizings} />
      </Field>
      {sizing === "dates" && (
        <div className="field-pair">
          <FormDate label={texts.start} control={control} name="start" />
          <FormDate label={texts.finish} control={control} name="finish" />
        </div>
      )}
      {sizing === "duration" && (
        <Field label={texts.workingDays} fault={errors.durationDays?.message} hint={texts.n0IsAMilestone}>
          <TextInput {...register("durationDays")} inputMode="decimal" />
        </Field>
      )}
    </>
  );
}

/** Further conditions: when the task can be done, and by whom. */
function Conditions({ form: { register, control, formState } }: { form: Form }) {
  const { calendars } = useNames();
  const { errors, defaultValues: began } = formState;
  const isUsed = [began?.notAfter, began?.finishNotBefore, began?.finishNotAfter, began?.staggerDays, began?.calendarId].some(Boolean);
  return (
    <Unfold title={texts.skillsDelayCalendarAndBounds} isOpenAtFirst={isUsed || (began?.skills?.length ?? 0) > 0}>
      <div className="space-y-3">
        <SkillFields control={control} fault={errors.skills?.root?.message ?? errors.skills?.message} />
        <div className="field-pair">
          <Field label={texts.delayWorkingDays} fault={errors.staggerDays?.message} hint={texts.addedToTheStart}>
            <TextInput {...register("staggerDays")} inputMode="decimal" placeholder="none" />
          </Field>
          <Field label={texts.calendar}>
            <FormPicker control={control} name="calendarId" options={[none("As in the project"), ...namedOptions(calendars)]} />
          </Field>
          <FormDate label={texts.startNoLaterThan} control={control} name="notAfter" />
          <FormDate label={texts.finishNoEarlierThan} control={control} name="finishNotBefore" />
          <FormDate label={texts.finishNoLaterThan} control={control} name="finishNotAfter" />
        </div>
      </div>
    </Unfold>
  );
}

function Progress({ form: { register, control, formState }, isTracked }: { form: Form; isTracked: boolean }) {
  return (
    <>
      <div className="grid grid-cols-[5fr_3fr_4fr] gap-2">
        <Field label={texts.state}>
          <FormChoice control={control} name="state" options={wordOptions(taskStates)} />
        </Field>
        <Field label={texts.donePercent} fault={formState.errors.percentComplete?.message}>
          <TextInput {...register("percentComplete")} inputMode="decimal" />
        </Field>
        <Field label={texts.priority}>
          <FormChoice control={control} name="priority" options={textOptions(["1", "2", "3", "4", "5"])} />
        </Field>
      </div>
      {isTracked && (
        <div className="field-pair">
          <FormDate label={texts.startedOn} control={control} name="actualStart" placeholder="first hours" />
          <FormDate label={texts.finishedOn} control={control} name="actualFinish" placeholder="last hours" />
        </div>
      )}
      <FormCheckbox control={control} name="atRisk">
        {texts.atRisk}
      </FormCheckbox>
      <Field label={texts.tagsSeparatedByCommas}>
        <TextInput {...register("tags")} />
      </Field>
    </>
  );
}

/** The possible parents of a task: summaries and tasks without work, except for itself and its subtasks. */
function parentOptions(outline: Redacted<Outline>, id: string | undefined) {
  const fits = (other: Redacted<OutlineTask>) =>
    other.task.id !== id && (other.isSummary || other.work.length === 0) && !isBelow(outline, other, id);
  return [
    none("The project itself"),
    ...outline.tasks.filter(fits).map(({ task: { id: value, name }, depth }) => ({ value, text: name, depth })),
  ];
}

function isBelow(outline: Pick<Redacted<Outline>, "tasks">, entry: Redacted<OutlineTask>, ancestorId: string | undefined): boolean {
  const parent = outline.tasks.find(({ task }) => task.id === entry.task.parentId);
  return parent !== undefined && (parent.task.id === ancestorId || isBelow(outline, parent, ancestorId));
}
