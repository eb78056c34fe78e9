"use client";
// The facts of an enquiry: to write one down, and to complete one that has come in.
import { zodResolver } from "@hookform/resolvers/zod";
import type { Enquiry } from "../../core/plan/schema.ts";
import { Field, TextArea, TextInput } from "../../ui/field.tsx";
import { FormDate, FormPicker } from "../../ui/form.tsx";
import { FormEnd } from "../../ui/formEnd.tsx";
import { namedOptions, none } from "../../ui/options.ts";
import { Unfold } from "../../ui/unfold.tsx";
import { type FormOver, useFormOver } from "../../ui/useFormOver.ts";
import { useUnderWay } from "../notices/underWay.ts";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import { type EnquiryFields, enquiryFields, enquiryValues } from "./enquiryFields.ts";
import { texts } from "./words.ts";

interface EnquiryFormProps {
  enquiry: Partial<Enquiry>;
  saveText: string;
  /** True where it was saved. */
  onSave: (fields: EnquiryFields) => Promise<boolean>;
}

export function EnquiryForm({ enquiry, saveText, onSave }: EnquiryFormProps) {
  const isNew = enquiry.id === undefined;
  const { clients, roles } = useNames();
  const form = useFormOver(`enquiries ${enquiry.id ?? "new"}`, enquiryValues(enquiry, roles), zodResolver(enquiryFields));
  const { register, control, handleSubmit, formState } = form;
  const { errors, isDirty } = formState;
  useUnderWay("enquiries", enquiry.id, isDirty);
  const save = async (fields: EnquiryFields) => {
    if (await onSave(fields)) form.forget();
  };
  return (
    <form noValidate className="space-y-3" onSubmit={(event) => void handleSubmit(save)(event)}>
      <Field label={texts.title} fault={errors.name?.message}>
        <TextInput {...register("name")} autoFocus={isNew} />
      </Field>
      <Field label={texts.purpose} fault={errors.purpose?.message}>
        <TextArea {...register("purpose")} rows={3} />
      </Field>
      <div className="field-pair">
        <Field label={texts.contact} fault={errors.contactName?.message}>
          <TextInput {...register("contactName")} />
        </Field>
        <Field label={texts.eMail} fault={errors.email?.message}>
          <TextInput {...register("email")} type="email" />
        </Field>
        <Field label={texts.organisation} fault={errors.organisation?.message}>
          <TextInput {...register("organisation")} placeholder={texts.optional} />
        </Field>
        <Field label={texts.client}>
          <FormPicker control={control} name="clientId" options={[none("As entered"), ...namedOptions(clients)]} />
        </Field>
      </div>
      <Wishes form={form} />
      <FormEnd form={form} saveText={saveText} isNew={isNew} />
    </form>
  );
}

/** When, for how much, and how large. */
function Wishes({ form }: { form: FormOver<EnquiryFields> }) {
  const { register, control, watch, formState } = form;
  const { errors } = formState;
  const { roles, templates } = useNames();
  const { currency } = usePlanFacts();
  return (
    <>
      <div className="field-pair">
        <FormDate label={texts.requestedStart} control={control} name="wishedStart" placeholder={texts.notStated} />
        <FormDate label={texts.requestedFinish} control={control} name="wishedFinish" placeholder={texts.notStated} />
        <Field label={`Value, ${currency}`} fault={errors.value?.message}>
          <TextInput {...register("value")} inputMode="decimal" placeholder={texts.notStated} />
        </Field>
        <Field label={texts.template}>
          <FormPicker control={control} name="templateId" options={[none("Hours by role"), ...namedOptions(templates)]} />
        </Field>
      </div>
      {watch("templateId") === "" && (
        <Unfold title={texts.hoursByRole} isOpenAtFirst={Object.values(watch("hours")).some((own) => own !== "")}>
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            {roles.map(({ id, name }) => (
              <Field key={id} label={name} fault={errors.hours?.[id]?.message}>
                <TextInput {...register(`hours.${id}`)} inputMode="decimal" placeholder="0" isFigure isSmall />
              </Field>
            ))}
          </div>
        </Unfold>
      )}
    </>
  );
}
