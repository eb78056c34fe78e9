"use client";
// A project's own facts: to make one, empty or from another one's tasks, and to change one.
import { zodResolver } from "@hookform/resolvers/zod";
import type { UseFormReturn } from "react-hook-form";
import * as z from "zod";
import type { Project } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { kindOptions, namedOptions, none, wordOptions } from "../../ui/options.ts";
import { useFormOver } from "../../ui/useFormOver.ts";
import { useNames } from "../frame/facts.ts";
import { usePeopleWithRoom } from "../frame/peopleWithRoom.ts";
import { useUnderWay } from "../frame/underWay.ts";

const stages: Record<Project["stage"], string> = {
  idea: "Idea",
  pipeline: "In the pipeline",
  approved: "Approved",
  active: "Under way",
  done: "Done",
  cancelled: "Cancelled",
};

const fieldsSchema = z
  .object({
    name: z.string().trim().min(1, { error: "Give the project a name." }).max(300),
    code: z.string().trim().max(30),
    clientId: z.string(),
    category: z.string().max(300),
    leadId: z.string(),
    calendarId: z.string().min(1, { error: "Choose a calendar." }),
    stage: z.enum(["idea", "pipeline", "approved", "active", "done", "cancelled"]),
    probability: z.string().refine((text) => text.trim() === "" || (Number(text) >= 0 && Number(text) <= 100), { error: "0 to 100." }),
    start: z.string().refine((text) => readDate(text) !== null, { error: DATE_HINT }),
    deadline: z.string().refine(isDateText, { error: DATE_HINT }),
    sourceId: z.string(),
    keepsPeople: z.boolean(),
  })
  .refine(({ start, deadline }) => (readDate(deadline) ?? "9") >= (readDate(start) ?? ""), {
    path: ["deadline"],
    error: "The deadline comes after the start.",
  });
export type ProjectFields = z.infer<typeof fieldsSchema>;

/** What the fields state of a project; what is empty is null. */
export function projectSet(fields: ProjectFields) {
  const text = (value: string) => (value.trim() === "" ? null : value.trim());
  const isOpen = fields.stage === "idea" || fields.stage === "pipeline";
  return {
    name: fields.name.trim(),
    code: text(fields.code),
    clientId: text(fields.clientId),
    category: text(fields.category),
    leadId: text(fields.leadId),
    calendarId: fields.calendarId,
    stage: fields.stage,
    probability: isOpen && fields.probability.trim() !== "" ? Number(fields.probability) : null,
    start: readDate(fields.start) ?? "",
    deadline: readDate(fields.deadline),
  };
}

type Form = UseFormReturn<ProjectFields>;

interface ProjectFormProps {
  project: Partial<Project>;
  isNew: boolean;
  saveText: string;
  onSave: (fields: ProjectFields) => Promise<void>;
}

export function ProjectForm({ project, isNew, saveText, onSave }: ProjectFormProps) {
  const { calendars } = useNames();
  const form = useFormOver(valuesOf(project, calendars[0]?.id ?? ""), zodResolver(fieldsSchema));
  const { register, handleSubmit, formState } = form;
  const { errors, isDirty, isSubmitting } = formState;
  useUnderWay("projects", project.id, isDirty);
  return (
    <form noValidate className="space-y-3" onSubmit={(event) => void handleSubmit(onSave)(event)}>
      <div className="grid grid-cols-[1fr_84px] gap-3">
        <Field label="Name" fault={errors.name?.message}>
          <TextInput {...register("name")} autoFocus={isNew} />
        </Field>
        <Field label="Code" fault={errors.code?.message}>
          <TextInput {...register("code")} />
        </Field>
      </div>
      {isNew && <Source form={form} />}
      <div className="grid grid-cols-2 gap-3">
        <When form={form} />
        <Whose form={form} />
      </div>
      <Button type="submit" look="main" disabled={isSubmitting || (!isNew && !isDirty)}>
        {saveText}
      </Button>
    </form>
  );
}

function valuesOf(project: Partial<Project>, calendarId: string): ProjectFields {
  return {
    name: project.name ?? "",
    code: project.code ?? "",
    clientId: project.clientId ?? "",
    category: project.category ?? "",
    leadId: project.leadId ?? "",
    calendarId: project.calendarId ?? calendarId,
    stage: project.stage ?? "approved",
    probability: project.probability === undefined ? "" : String(project.probability),
    start: writeDate(project.start),
    deadline: writeDate(project.deadline),
    sourceId: "",
    keepsPeople: false,
  };
}

/** What the tasks of a new project are taken from. */
function Source({ form: { control, watch } }: { form: Form }) {
  const { projects, templates } = useNames();
  return (
    <>
      <Field label="Tasks from" hint="Dates keep their distance from the start in working days">
        <FormPicker
          control={control}
          name="sourceId"
          options={[
            none("Nowhere: it begins empty"),
            ...kindOptions("Templates", "template", templates),
            ...kindOptions("Projects", "project", projects),
          ]}
        />
      </Field>
      {watch("sourceId") !== "" && (
        <FormCheckbox control={control} name="keepsPeople">
          Its people come along (else their places are open)
        </FormCheckbox>
      )}
    </>
  );
}

function When({ form: { register, control, watch, formState } }: { form: Form }) {
  const { errors } = formState;
  const stage = watch("stage");
  return (
    <>
      <Field label="Start" fault={errors.start?.message}>
        <FormDate control={control} name="start" />
      </Field>
      <Field label="Deadline" fault={errors.deadline?.message}>
        <FormDate control={control} name="deadline" placeholder="none" />
      </Field>
      <Field label="Stage">
        <FormChoice control={control} name="stage" options={wordOptions(stages)} />
      </Field>
      {(stage === "pipeline" || stage === "idea") && (
        <Field label="Likely, %" fault={errors.probability?.message}>
          <TextInput {...register("probability")} inputMode="decimal" placeholder="100" />
        </Field>
      )}
    </>
  );
}

function Whose({ form: { register, control, formState } }: { form: Form }) {
  const { clients, calendars } = useNames();
  const { people, onOpen } = usePeopleWithRoom();
  return (
    <>
      <Field label="Calendar" fault={formState.errors.calendarId?.message}>
        <FormPicker control={control} name="calendarId" options={namedOptions(calendars)} />
      </Field>
      <Field label="Lead">
        <FormPicker control={control} name="leadId" onOpen={onOpen} options={[none("Nobody yet"), ...namedOptions(people)]} />
      </Field>
      <Field label="Client">
        <FormPicker control={control} name="clientId" options={[none("Own work"), ...namedOptions(clients)]} />
      </Field>
      <Field label="Category">
        <TextInput {...register("category")} />
      </Field>
    </>
  );
}
