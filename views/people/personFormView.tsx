"use client";
// The form of a person: name, roles, skills, calendar, newest week, employment.
import { zodResolver } from "@hookform/resolvers/zod";
import { Plus, X } from "lucide-react";
import { type Control, type UseFormReturn, useController, useFieldArray } from "react-hook-form";
import { Button, IconButton } from "../../ui/button.tsx";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { Field, FormFault, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { namedOptions, none, textOptions, wordOptions } from "../../ui/options.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { useFormOver } from "../../ui/useFormOver.ts";
import { useNames } from "../frame/facts.ts";
import { useUnderWay } from "../frame/underWay.ts";
import { type PersonFields, personFields } from "./personForm.ts";
import { WeekFields } from "./weekFields.tsx";

type Form = UseFormReturn<PersonFields>;

interface PersonFormProps {
  /** Of somebody who is on the roster. */
  id?: string;
  initial: PersonFields;
  isNew: boolean;
  onSave: (fields: PersonFields) => Promise<void>;
}

export function PersonForm({ id, initial, isNew, onSave }: PersonFormProps) {
  const { roles, calendars } = useNames();
  const form = useFormOver(initial, zodResolver(personFields));
  const { register, control, handleSubmit, watch, formState } = form;
  const roleId = watch("roleId");
  useUnderWay("people", id, formState.isDirty);
  return (
    <form className="space-y-3" noValidate onSubmit={(event) => void handleSubmit(onSave)(event)}>
      <Field label="Name" fault={formState.errors.name?.message}>
        <TextInput {...register("name")} autoFocus={isNew} />
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Main role">
          <FormPicker control={control} name="roleId" options={[none("No role yet"), ...namedOptions(roles)]} />
        </Field>
        <Field label="Calendar">
          <FormPicker control={control} name="calendarId" options={namedOptions(calendars)} />
        </Field>
      </div>
      <Unfold title="Other roles">
        <OtherRoles control={control} roles={roles.filter(({ id }) => id !== roleId)} />
      </Unfold>
      <OwnWeek form={form} />
      <Employment form={form} />
      <SkillFields form={form} />
      <Field label="E-mail">
        <TextInput type="email" {...register("email")} />
      </Field>
      <Button type="submit" look="main" disabled={formState.isSubmitting || (!isNew && !formState.isDirty)}>
        {isNew ? "Add person" : "Save"}
      </Button>
    </form>
  );
}

function OwnWeek({ form: { register, control, watch, formState } }: { form: Form }) {
  return (
    <fieldset className="space-y-2 rounded-card border border-line p-2.5">
      <FormCheckbox control={control} name="hasPattern">
        A week of their own
      </FormCheckbox>
      {watch("hasPattern") && (
        <>
          <WeekFields register={register} name="week" faults={formState.errors.week} />
          <Field label="From" fault={formState.errors.patternFrom?.message} hint="A later day adds a new week behind the one there is">
            <FormDate control={control} name="patternFrom" />
          </Field>
        </>
      )}
    </fieldset>
  );
}

const kinds = { employee: "Employee", contractor: "Contractor" } as const;

function Employment({ form: { register, control, formState } }: { form: Form }) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <Field label="Employed from" fault={formState.errors.employedFrom?.message}>
        <FormDate control={control} name="employedFrom" />
      </Field>
      <Field label="until" fault={formState.errors.employedTo?.message}>
        <FormDate control={control} name="employedTo" placeholder="no end" />
      </Field>
      <Field label="Kind">
        <FormChoice control={control} name="kind" options={wordOptions(kinds)} />
      </Field>
      <Field label="Place">
        <TextInput {...register("location")} />
      </Field>
    </div>
  );
}

function SkillFields({ form: { control, formState } }: { form: Form }) {
  const { skills } = useNames();
  const levels = useFieldArray({ control, name: "skills" });
  return (
    <fieldset>
      <legend className="field-label">Skills</legend>
      {levels.fields.map((field, at) => (
        <div key={field.id} className="mb-1 flex gap-1.5">
          <FormPicker
            label={`Skill ${at + 1}`}
            control={control}
            name={`skills.${at}.skillId`}
            options={[none("Choose"), ...namedOptions(skills)]}
          />
          <FormChoice
            label={`Level of skill ${at + 1}`}
            control={control}
            name={`skills.${at}.level`}
            width={62}
            options={textOptions(["1", "2", "3", "4", "5"])}
          />
          <IconButton label="Take this skill away" onClick={() => levels.remove(at)}>
            <X size={14} />
          </IconButton>
        </div>
      ))}
      <FormFault>{formState.errors.skills?.message}</FormFault>
      <Button look="quiet" onClick={() => levels.append({ skillId: "", level: "3" })} className="px-1!">
        <Plus size={14} /> Add a skill
      </Button>
    </fieldset>
  );
}

function OtherRoles({ control, roles }: { control: Control<PersonFields>; roles: readonly { id: string; name: string }[] }) {
  const { field } = useController({ control, name: "otherRoleIds" });
  const toggle = (id: string) => field.onChange(field.value.includes(id) ? field.value.filter((own) => own !== id) : [...field.value, id]);
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1">
      {roles.map(({ id, name }) => (
        <CheckboxField key={id} checked={field.value.includes(id)} onChange={() => toggle(id)} isSmall>
          {name}
        </CheckboxField>
      ))}
    </div>
  );
}
