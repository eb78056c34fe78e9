"use client";
// The controls of a form that react-hook-form keeps: each bound by its name.
import type { ReactNode } from "react";
import { type Control, type FieldPathByValue, type FieldValues, useController } from "react-hook-form";
import { CheckboxField } from "./checkbox.tsx";
import { Choice, type ChoiceProps } from "./choice.tsx";
import { DateField, type DateFieldProps } from "./dateField.tsx";
import { Field } from "./field.tsx";
import { Picker } from "./picker.tsx";

interface Bound<F extends FieldValues, T> {
  control: Control<F>;
  name: FieldPathByValue<F, T>;
}

export function FormChoice<F extends FieldValues>({
  control,
  name,
  ...props
}: Bound<F, string> & Omit<ChoiceProps<string>, "value" | "onChange">) {
  const { field } = useController({ control, name });
  return <Choice {...props} value={field.value} onChange={field.onChange} />;
}

export function FormPicker<F extends FieldValues>({
  control,
  name,
  ...props
}: Bound<F, string> & Omit<ChoiceProps<string>, "value" | "onChange"> & { onOpen?: () => void }) {
  const { field } = useController({ control, name });
  return <Picker {...props} value={field.value} onChange={field.onChange} />;
}

interface FormDateProps<F extends FieldValues> extends Bound<F, string>, Omit<DateFieldProps, "value" | "onChange" | "label"> {
  label: string;
  hint?: string;
}

/** A date under its label, with what is wrong with it. */
export function FormDate<F extends FieldValues>({ control, name, label, hint, ...props }: FormDateProps<F>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <Field label={label} hint={hint} fault={fieldState.error?.message}>
      <DateField {...props} value={field.value} onChange={field.onChange} onBlur={field.onBlur} />
    </Field>
  );
}

export function FormCheckbox<F extends FieldValues>({ control, name, children }: Bound<F, boolean> & { children: ReactNode }) {
  const { field } = useController({ control, name });
  return (
    <CheckboxField checked={field.value} onChange={field.onChange}>
      {children}
    </CheckboxField>
  );
}
