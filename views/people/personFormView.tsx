"use client";
// The form of a person: name, roles, skills, calendar, newest week, employment.
import { zodResolver } from "@hookform/resolvers/zod";
import { type Control, type UseFormReturn, useController } from "react-hook-form";
import { useMaybeAnswer } from "../../client/session.tsx";
import { formatDay, parseDay } from "../../core/calendar/day.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { CheckboxField } from "../../ui/checkbox.tsx";
import { readDate } from "../../ui/dateText.ts";
import { Field, FieldGroup, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { countText, hoursText, longDay } from "../../ui/format.ts";
import { FormEnd } from "../../ui/formEnd.tsx";
import Link from "../../ui/link.tsx";
import { namedOptions, none, wordOptions } from "../../ui/options.ts";
import { toggledList } from "../../ui/toggled.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { useFormOver } from "../../ui/useFormOver.ts";
import { ImpactView, useImpact } from "../effect/impact.tsx";
import { useUnderWay } from "../notices/underWay.ts";
import { SkillFields } from "../planFields/skillFields.tsx";
import { WeekFields } from "../planFields/weekFields.tsx";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { useLinkTo } from "../scope/windowed.ts";
import { type PersonFields, personFields } from "./personForm.ts";
import { texts } from "./words.ts";

type Form = UseFormReturn<PersonFields>;

interface PersonFormProps {
  /** Of a person who is on the roster. */
  id?: string;
  initial: PersonFields;
  isNew: boolean;
  /** The effect of saving is shown first for a person on the roster. */
  editOf?: (fields: PersonFields) => Edit;
  /** True where it was saved. */
  onSave: (fields: PersonFields) => Promise<boolean>;
}

export function PersonForm({ id, initial, isNew, editOf, onSave }: PersonFormProps) {
  const { roles, calendars } = useNames();
  const form = useFormOver(`people ${id ?? "new"}`, initial, zodResolver(personFields));
  const { register, control, handleSubmit, watch, formState } = form;
  const roleId = watch("roleId");
  useUnderWay("people", id, formState.isDirty);
  const save = async (fields: PersonFields) => {
    if (await onSave(fields)) form.forget();
  };
  return (
    <form className="space-y-3" noValidate onSubmit={(event) => void handleSubmit(save)(event)}>
      <Field label={texts.name} fault={formState.errors.name?.message}>
        <TextInput {...register("name")} autoFocus={isNew} />
      </Field>
      <div className="field-pair">
        <Field label={texts.mainRole}>
          <FormPicker control={control} name="roleId" options={[none("No role yet"), ...namedOptions(roles)]} />
        </Field>
        <Field label={texts.calendar}>
          <FormPicker control={control} name="calendarId" options={namedOptions(calendars)} />
        </Field>
      </div>
      <Unfold title={texts.otherRoles}>
        <OtherRoles control={control} roles={roles.filter(({ id }) => id !== roleId)} />
      </Unfold>
      <OwnWeek form={form} />
      <Employment form={form} />
      {isNew && <RateFields form={form} />}
      <SkillFields control={control} fault={formState.errors.skills?.root?.message ?? formState.errors.skills?.message} />
      <Field label={texts.eMail}>
        <TextInput type="email" {...register("email")} />
      </Field>
      {id !== undefined && editOf && <Effect id={id} form={form} saved={initial} editOf={editOf} />}
      <FormEnd form={form} saveText={isNew ? "Add person" : "Save"} isNew={isNew} />
    </form>
  );
}

const changesCapacity = ["employedFrom", "employedTo", "calendarId", "hasPattern", "patternFrom", "week"] as const;

/** The effect of the typed working time on the plan; and the work after a last day, which has to be handed over first: once the
 * day is saved, its remaining hours fall on the days before. */
function Effect({ id, form, saved, editOf }: { id: string; form: Form; saved: PersonFields; editOf: (fields: PersonFields) => Edit }) {
  const linkTo = useLinkTo();
  const fields = form.watch();
  const isSound = personFields.safeParse(fields).success;
  const isChanged = isSound && changesCapacity.some((name) => JSON.stringify(fields[name]) !== JSON.stringify(saved[name]));
  const impact = useImpact(isChanged ? editOf(fields) : null);
  const last = isSound && fields.employedTo !== saved.employedTo ? readDate(fields.employedTo) : null;
  const after = last === null ? null : parseDay(last) + 1;
  const left = useMaybeAnswer("handOver", after === null ? null : { personId: id, from: after }, null);
  if (!isChanged) return null;
  return (
    <>
      {after !== null && left && left.lines.length > 0 && (
        <FieldGroup>
          <p>
            {hoursText(left.minutes)} h of {countText(left.lines.length, "assignment")} are planned after the last day. Hand them over
            first; otherwise these hours move to the remaining days.
          </p>
          <Link className="text-link" href={linkTo(`/people/person/${encodeURIComponent(id)}`, { part: `handOver:${formatDay(after)}` })}>
            Hand over from {longDay(after)}
          </Link>
        </FieldGroup>
      )}
      <ImpactView impact={impact} title={texts.effectOfSaving} />
    </>
  );
}

function OwnWeek({ form: { register, control, watch, formState } }: { form: Form }) {
  return (
    <FieldGroup>
      <FormCheckbox control={control} name="hasPattern">
        {texts.ownWorkingWeek}
      </FormCheckbox>
      {watch("hasPattern") && (
        <>
          <WeekFields register={register} name="week" faults={formState.errors.week} />
          <FormDate label={texts.fromText} hint={texts.aLaterDateAdds} control={control} name="patternFrom" />
        </>
      )}
    </FieldGroup>
  );
}

/** Cost and billing rate of a new person, for each kind of rate table that the plan has. */
function RateFields({ form: { register, formState } }: { form: Form }) {
  const { currency } = usePlanFacts();
  const tables = useMaybeAnswer("rateTables", {}, null) ?? [];
  const fields = [
    { kind: "cost", name: "costRate", label: texts.costRate },
    { kind: "bill", name: "billRate", label: texts.billingRate },
  ] as const;
  return (
    <div className="field-pair">
      {fields.map(({ kind, name, label }) => {
        const table = tables.find((own) => own.kind === kind);
        if (!table) return null;
        return (
          <Field key={kind} label={`${label}, ${table.currency ?? currency}`} hint={table.name} fault={formState.errors[name]?.message}>
            <TextInput {...register(name)} inputMode="decimal" placeholder={texts.rolesRate} />
          </Field>
        );
      })}
    </div>
  );
}

const kinds = { employee: "Employee", contractor: "Contractor" } as const;

function Employment({ form: { register, control } }: { form: Form }) {
  return (
    <div className="field-pair">
      <FormDate label={texts.employedFrom} control={control} name="employedFrom" />
      <FormDate label="until" control={control} name="employedTo" placeholder={texts.noEnd} />
      <Field label={texts.kind}>
        <FormChoice control={control} name="kind" options={wordOptions(kinds)} />
      </Field>
      <Field label={texts.place}>
        <TextInput {...register("location")} />
      </Field>
    </div>
  );
}

function OtherRoles({ control, roles }: { control: Control<PersonFields>; roles: readonly { id: string; name: string }[] }) {
  const { field } = useController({ control, name: "otherRoleIds" });
  const toggle = (id: string) => field.onChange(toggledList(field.value, id));
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
