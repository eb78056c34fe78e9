"use client";
// The form of a person: name, roles, skills, calendar, newest week, employment.
import { zodResolver } from "@hookform/resolvers/zod";
import { Plus, X } from "lucide-react";
import { useFieldArray, useForm } from "react-hook-form";
import { Button, IconButton } from "../../ui/button.tsx";
import { Field, NamedOptions, Select, TextInput } from "../../ui/field.tsx";
import { useNames } from "../frame/facts.ts";
import { type PersonFields, personFields } from "./personForm.ts";
import { WeekFields } from "./weekFields.tsx";

export function PersonForm({
  initial,
  isNew,
  onSave,
}: {
  initial: PersonFields;
  isNew: boolean;
  onSave: (fields: PersonFields) => Promise<void>;
}) {
  const { roles, calendars, skills } = useNames();
  const { register, control, handleSubmit, watch, formState } = useForm<PersonFields>({
    resolver: zodResolver(personFields),
    defaultValues: initial,
  });
  const levels = useFieldArray({ control, name: "skills" });
  const { errors, isDirty, isSubmitting } = formState;
  const [roleId, hasPattern] = watch(["roleId", "hasPattern"]);
  return (
    <form className="space-y-3" noValidate onSubmit={(event) => void handleSubmit(onSave)(event)}>
      <Field label="Name" fault={errors.name?.message}>
        <TextInput {...register("name")} autoFocus={isNew} aria-invalid={errors.name !== undefined} />
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Main role">
          <Select {...register("roleId")}>
            <option value="">No role yet</option>
            <NamedOptions list={roles} />
          </Select>
        </Field>
        <Field label="Calendar">
          <Select {...register("calendarId")}>
            <NamedOptions list={calendars} />
          </Select>
        </Field>
      </div>
      <details>
        <summary className="cursor-pointer text-[13px] text-ink-2">Other roles</summary>
        <div className="grid grid-cols-2 gap-x-3 gap-y-1 pt-1.5">
          {roles
            .filter(({ id }) => id !== roleId)
            .map(({ id, name }) => (
              <label key={id} className="flex items-center gap-1.5 text-[13px]">
                <input type="checkbox" value={id} {...register("otherRoleIds")} className="accent-pine" /> {name}
              </label>
            ))}
        </div>
      </details>
      <fieldset className="rounded-card border border-line p-2.5">
        <label className="flex items-center gap-2">
          <input type="checkbox" {...register("hasPattern")} className="accent-pine" /> A week of their own
        </label>
        {hasPattern && (
          <>
            <div className="pt-2">
              <WeekFields register={register} name="week" faults={errors.week} />
            </div>
            <div className="pt-2">
              <Field label="From" fault={errors.patternFrom?.message} hint="A later day adds a new week behind the one there is">
                <TextInput placeholder="8 Feb 2027" {...register("patternFrom")} />
              </Field>
            </div>
          </>
        )}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Employed from" fault={errors.employedFrom?.message}>
          <TextInput placeholder="8 Feb 2027" {...register("employedFrom")} aria-invalid={errors.employedFrom !== undefined} />
        </Field>
        <Field label="until" fault={errors.employedTo?.message}>
          <TextInput placeholder="no end" {...register("employedTo")} aria-invalid={errors.employedTo !== undefined} />
        </Field>
        <Field label="Kind">
          <Select {...register("kind")}>
            <option value="employee">Employee</option>
            <option value="contractor">Contractor</option>
          </Select>
        </Field>
        <Field label="Place">
          <TextInput {...register("location")} />
        </Field>
      </div>
      <div>
        <p className="mb-1 text-[13px] text-ink-2">Skills</p>
        {levels.fields.map((field, at) => (
          <div key={field.id} className="mb-1 flex gap-1.5">
            <Select aria-label={`Skill ${at + 1}`} {...register(`skills.${at}.skillId`)}>
              <option value="">Choose</option>
              <NamedOptions list={skills} />
            </Select>
            <Select aria-label={`Level of skill ${at + 1}`} {...register(`skills.${at}.level`)} className="w-[62px]!">
              {["1", "2", "3", "4", "5"].map((level) => (
                <option key={level}>{level}</option>
              ))}
            </Select>
            <IconButton label="Take this skill away" onClick={() => levels.remove(at)}>
              <X size={14} />
            </IconButton>
          </div>
        ))}
        {errors.skills?.message && (
          <p role="alert" className="text-[12.5px] text-over">
            {errors.skills.message}
          </p>
        )}
        <Button look="quiet" onClick={() => levels.append({ skillId: "", level: "3" })} className="px-1!">
          <Plus size={14} /> Add a skill
        </Button>
      </div>
      <Field label="E-mail">
        <TextInput type="email" {...register("email")} />
      </Field>
      <Button type="submit" look="main" disabled={isSubmitting || (!isNew && !isDirty)}>
        {isNew ? "Add person" : "Save"}
      </Button>
    </form>
  );
}
