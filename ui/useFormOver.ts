"use client";
// A form over values that others may change while a person types: what is typed stays, what is not typed follows. Left
// without saving, in any way, it keeps what was typed for the next time it is opened.
import { useEffect, useRef } from "react";
import {
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
  type Resolver,
  type UseFormReturn,
  useForm,
} from "react-hook-form";
import { toast } from "sonner";
import { keepTyped, typedIn } from "./typed.ts";

/** The names of fields whose value is not the one they began with. */
export function typedFields(began: FieldValues, now: FieldValues): string[] {
  return Object.keys(now).filter((name) => JSON.stringify(now[name]) !== JSON.stringify(began[name]));
}

/** Lets a form follow values that have changed, except for the fields in which something is typed. */
export function follow<F extends FieldValues>(form: Pick<UseFormReturn<F>, "getValues" | "reset" | "setValue">, began: F, next: F): void {
  const now = form.getValues();
  const typed = typedFields(began, now);
  // Fields stay registered: what is typed before the form is drawn again would be lost otherwise.
  form.reset(next, { keepFieldsRef: true });
  for (const field of typed) form.setValue(field as Path<F>, now[field] as PathValue<F, Path<F>>, { shouldDirty: true });
}

export type FormOver<F extends FieldValues> = UseFormReturn<F> & {
  /** Puts every field back to what is saved. */
  discard(): void;
  /** Typed values are saved as something new: the next form starts empty. */
  forget(): void;
};

/** A form with `values` to begin with; when those change, fields in which nothing was typed take the new ones.
 * @param name What the form is about: what is typed is kept under it. */
export function useFormOver<F extends FieldValues>(name: string, values: F, resolver: Resolver<F>): FormOver<F> {
  const form = useForm<F>({ resolver, defaultValues: values as DefaultValues<F> });
  const began = useRef(values);
  const text = JSON.stringify(values);
  const { setValue, subscribe } = form;

  useEffect(() => {
    if (JSON.stringify(began.current) === text) return;
    const before = began.current;
    began.current = JSON.parse(text);
    follow(form, before, began.current);
  }, [form, text]);

  useEffect(() => {
    // The form is open again: the notice about it would only cover its end.
    toast.dismiss(`kept ${name}`);
    for (const [field, value] of Object.entries(typedIn(name)))
      if (field in began.current) setValue(field as Path<F>, value as PathValue<F, Path<F>>, { shouldDirty: true });
    const stop = subscribe({
      formState: { values: true },
      callback: ({ values: now }) =>
        keepTyped(name, Object.fromEntries(typedFields(began.current, now).map((field) => [field, now[field]]))),
    });
    return () => {
      stop();
      // Values that have just been saved are forgotten in the same moment.
      setTimeout(() => {
        if (Object.keys(typedIn(name)).length > 0)
          toast("Your entries are kept but not saved. Open the form again to continue.", { id: `kept ${name}` });
      });
    };
  }, [name, setValue, subscribe]);

  const forget = () => keepTyped(name, {});
  return Object.assign(form, {
    forget,
    discard() {
      forget();
      form.reset(began.current);
    },
  });
}
