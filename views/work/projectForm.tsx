"use client";
// A project's own facts: to make one, empty or from another one's tasks, and to change one.
import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod";
import type { Project } from "../../core/plan/schema.ts";
import { Button } from "../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, KindOptions, NamedOptions, Select, TextInput } from "../../ui/field.tsx";
import { useNames } from "../frame/facts.ts";

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

export function ProjectForm({
  project,
  isNew,
  saveText,
  onSave,
}: {
  project: Partial<Project>;
  isNew: boolean;
  saveText: string;
  onSave: (fields: ProjectFields) => Promise<void>;
}) {
  const { clients, people, calendars, projects, templates } = useNames();
  const { register, handleSubmit, watch, formState } = useForm<ProjectFields>({
    resolver: zodResolver(fieldsSchema),
    defaultValues: {
      name: project.name ?? "",
      code: project.code ?? "",
      clientId: project.clientId ?? "",
      category: project.category ?? "",
      leadId: project.leadId ?? "",
      calendarId: project.calendarId ?? calendars[0]?.id ?? "",
      stage: project.stage ?? "approved",
      probability: project.probability === undefined ? "" : String(project.probability),
      start: writeDate(project.start),
      deadline: writeDate(project.deadline),
      sourceId: "",
      keepsPeople: false,
    },
  });
  const { errors, isDirty, isSubmitting } = formState;
  const [stage, sourceId] = watch(["stage", "sourceId"]);
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
      {isNew && (
        <>
          <Field label="Tasks from" hint="Dates keep their distance from the start in working days">
            <Select {...register("sourceId")}>
              <option value="">Nowhere: it begins empty</option>
              {templates.length > 0 && <KindOptions label="Templates" kind="template" list={templates} />}
              <KindOptions label="Projects" kind="project" list={projects} />
            </Select>
          </Field>
          {sourceId !== "" && (
            <label className="flex items-center gap-2">
              <input type="checkbox" {...register("keepsPeople")} className="accent-pine" /> Its people come along (else their places are
              open)
            </label>
          )}
        </>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Field label="Start" fault={errors.start?.message}>
          <TextInput {...register("start")} placeholder="8 Feb 2027" />
        </Field>
        <Field label="Deadline" fault={errors.deadline?.message}>
          <TextInput {...register("deadline")} placeholder="none" />
        </Field>
        <Field label="Stage">
          <Select {...register("stage")}>
            {Object.entries(stages).map(([value, text]) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </Select>
        </Field>
        {(stage === "pipeline" || stage === "idea") && (
          <Field label="Likely, %" fault={errors.probability?.message}>
            <TextInput {...register("probability")} inputMode="decimal" placeholder="100" />
          </Field>
        )}
        <Field label="Calendar" fault={errors.calendarId?.message}>
          <Select {...register("calendarId")}>
            <NamedOptions list={calendars} />
          </Select>
        </Field>
        <Field label="Lead">
          <Select {...register("leadId")}>
            <option value="">Nobody yet</option>
            <NamedOptions list={people} />
          </Select>
        </Field>
        <Field label="Client">
          <Select {...register("clientId")}>
            <option value="">Own work</option>
            <NamedOptions list={clients} />
          </Select>
        </Field>
        <Field label="Category">
          <TextInput {...register("category")} />
        </Field>
      </div>
      <Button type="submit" look="main" disabled={isSubmitting || (!isNew && !isDirty)}>
        {saveText}
      </Button>
    </form>
  );
}
