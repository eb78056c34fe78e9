"use client";
// A project's own facts: to make one, empty or from another one's tasks, and to change one.
import { zodResolver } from "@hookform/resolvers/zod";
import type { UseFormReturn } from "react-hook-form";
import type { Edit } from "../../core/edits/edit.ts";
import type { Project } from "../../core/plan/schema.ts";
import { objectKeys } from "../../core/values/objectKeys.ts";
import { Field, FieldGroup, TextArea, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { FormEnd } from "../../ui/formEnd.tsx";
import { kindOptions, namedOptions, none, textOptions, wordOptions } from "../../ui/options.ts";
import { useFormOver } from "../../ui/useFormOver.ts";
import { ImpactView, useImpact } from "../effect/impact.tsx";
import { kindWords } from "../money/moneyWords.ts";
import { useUnderWay } from "../notices/underWay.ts";
import { usePeopleWithRoom } from "../planFields/peopleWithRoom.ts";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { billings, budgetFields, type ProjectFields, projectFields, projectValues, stages, trackings } from "./projectFields.ts";
import { texts } from "./words.ts";

type Form = UseFormReturn<ProjectFields>;

interface ProjectFormProps {
  project: Partial<Project>;
  isNew: boolean;
  saveText: string;
  /** The effect of saving is shown first if the start, the stage, the recording or the calendar changes. */
  editOf?: (fields: ProjectFields) => Edit;
  /** True where it was saved. */
  onSave: (fields: ProjectFields) => Promise<boolean>;
}

export function ProjectForm({ project, isNew, saveText, editOf, onSave }: ProjectFormProps) {
  const { calendars, rateTables } = useNames();
  const firstTable = (kind: "cost" | "bill") => rateTables.find((table) => table.kind === kind)?.id ?? "";
  const usual = { calendarId: calendars[0]?.id ?? "", costTableId: firstTable("cost"), billTableId: firstTable("bill") };
  const form = useFormOver(`projects ${project.id ?? "new"}`, projectValues(project, usual), zodResolver(projectFields));
  const { register, handleSubmit, formState } = form;
  const { errors, isDirty } = formState;
  useUnderWay("projects", project.id, isDirty);
  const save = async (fields: ProjectFields) => {
    if (await onSave(fields)) form.forget();
  };
  return (
    <form noValidate className="space-y-3" onSubmit={(event) => void handleSubmit(save)(event)}>
      <div className="grid grid-cols-[1fr_84px] gap-3">
        <Field label={texts.name} fault={errors.name?.message}>
          <TextInput {...register("name")} autoFocus={isNew} />
        </Field>
        <Field label={texts.code} fault={errors.code?.message}>
          <TextInput {...register("code")} />
        </Field>
      </div>
      {isNew && <Source form={form} />}
      <div className="field-pair">
        <When form={form} />
        <Whose form={form} />
      </div>
      <Field label={texts.description}>
        <TextArea {...register("description")} rows={2} />
      </Field>
      <MoneyFields form={form} />
      {editOf && <Effect form={form} saved={projectValues(project, usual)} editOf={editOf} />}
      <FormEnd form={form} saveText={saveText} isNew={isNew} />
    </form>
  );
}

const movesWork = ["start", "stage", "tracking", "calendarId"] as const;

/** The effect of the typed values: moved dates, new overloads and freed people. */
function Effect({ form, saved, editOf }: { form: Form; saved: ProjectFields; editOf: (fields: ProjectFields) => Edit }) {
  const fields = form.watch();
  const isMoved = movesWork.some((name) => fields[name] !== saved[name]) && projectFields.safeParse(fields).success;
  const impact = useImpact(isMoved ? editOf(fields) : null);
  return isMoved && <ImpactView impact={impact} title={texts.effectOfSaving} />;
}

/** The source of the tasks of a new project. */
function Source({ form: { control, watch } }: { form: Form }) {
  const { projects, templates } = useNames();
  return (
    <>
      <Field label={texts.template} hint={texts.datesKeepTheirDistance}>
        <FormPicker
          control={control}
          name="sourceId"
          options={[
            none("Empty project"),
            ...kindOptions("Templates", "template", templates),
            ...kindOptions("Projects", "project", projects),
          ]}
        />
      </Field>
      {watch("sourceId") !== "" && (
        <FormCheckbox control={control} name="keepsPeople">
          {texts.keepItsPeopleOtherwise}
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
      <FormDate label={texts.start} control={control} name="start" />
      <FormDate label={texts.deadline} control={control} name="deadline" placeholder="none" />
      <Field label={texts.stage}>
        <FormChoice control={control} name="stage" options={wordOptions(stages)} />
      </Field>
      <Field label={texts.itsPast} hint={texts.recordedHoursDecide}>
        <FormChoice control={control} name="tracking" options={wordOptions(trackings)} />
      </Field>
      {(stage === "pipeline" || stage === "idea") && (
        <Field label={texts.probabilityPercent} fault={errors.probability?.message}>
          <TextInput {...register("probability")} inputMode="decimal" placeholder="100" />
        </Field>
      )}
    </>
  );
}

function Whose({ form: { register, control, formState } }: { form: Form }) {
  const { clients, calendars, categories } = useNames();
  const { people, onOpen } = usePeopleWithRoom();
  return (
    <>
      <Field label={texts.calendar} fault={formState.errors.calendarId?.message}>
        <FormPicker control={control} name="calendarId" options={namedOptions(calendars)} />
      </Field>
      <Field label={texts.lead}>
        <FormPicker control={control} name="leadId" onOpen={onOpen} options={[none("Nobody assigned"), ...namedOptions(people)]} />
      </Field>
      <Field label={texts.client}>
        <FormPicker control={control} name="clientId" options={[none("Own work"), ...namedOptions(clients)]} />
      </Field>
      <Field label={texts.category}>
        <TextInput {...register("category")} list="project-categories" />
        <datalist id="project-categories">
          {categories.map((category) => (
            <option key={category} value={category} />
          ))}
        </datalist>
      </Field>
      <Field label={texts.priority}>
        <FormChoice control={control} name="priority" options={[none("None"), ...textOptions(["1", "2", "3", "4", "5"])]} />
      </Field>
    </>
  );
}

/** The tables its hours are costed and billed from, and what it may cost and has to earn. */
function MoneyFields({ form }: { form: Form }) {
  const { register, control, watch, formState } = form;
  const { rateTables } = useNames();
  const { currency } = usePlanFacts();
  const { errors } = formState;
  const tables = (kind: "cost" | "bill") => [none("None"), ...namedOptions(rateTables.filter((table) => table.kind === kind))];
  return (
    <FieldGroup legend="Money">
      <div className="field-pair">
        <Field label={texts.costRates}>
          <FormPicker control={control} name="costTableId" options={tables("cost")} />
        </Field>
        <Field label={texts.billingRates}>
          <FormPicker control={control} name="billTableId" options={tables("bill")} />
        </Field>
        <Field label={texts.billedBy}>
          <FormChoice control={control} name="billing" options={wordOptions(billings)} />
        </Field>
        {watch("billing") === "fixedFee" && (
          <Field label={`Fee, ${currency}`} fault={errors.fee?.message}>
            <TextInput {...register("fee")} inputMode="decimal" />
          </Field>
        )}
        <Field label={`Budget, ${currency}`} fault={errors.budget?.message}>
          <TextInput {...register("budget")} inputMode="decimal" placeholder="none" />
        </Field>
        <BudgetByKind form={form} />
        <Field label={texts.marginGoalPercent} fault={errors.marginTarget?.message}>
          <TextInput {...register("marginTarget")} inputMode="decimal" placeholder={texts.thePlans} />
        </Field>
      </div>
    </FieldGroup>
  );
}

/** The parts of the budget by kind; asked for once there is a budget. */
function BudgetByKind({ form: { register, watch, formState } }: { form: Form }) {
  const fields = objectKeys(budgetFields);
  if (watch("budget").trim() === "" && fields.every((field) => watch(field).trim() === "")) return null;
  return fields.map((field) => (
    <Field key={field} label={`Budget for ${kindWords[budgetFields[field]].toLowerCase()}`} fault={formState.errors[field]?.message}>
      <TextInput {...register(field)} inputMode="decimal" placeholder={texts.noSeparateBudget} />
    </Field>
  ));
}
