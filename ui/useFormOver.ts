"use client";
// A form over values that others may change while somebody types: what is typed stays, what is not typed follows.
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

/** The names of fields whose value is not the one they began with. */
export function typedFields(began: FieldValues, now: FieldValues): string[] {
  return Object.keys(now).filter((name) => JSON.stringify(now[name]) !== JSON.stringify(began[name]));
}

/** A form with `values` to begin with; when those change, fields in which nothing was typed take the new ones. */
export function useFormOver<F extends FieldValues>(values: F, resolver: Resolver<F>): UseFormReturn<F> {
  const form = useForm<F>({ resolver, defaultValues: values as DefaultValues<F> });
  const began = useRef(values);
  const text = JSON.stringify(values);
  useEffect(() => {
    if (JSON.stringify(began.current) === text) return;
    const now = form.getValues();
    const next = JSON.parse(text) as F;
    const typed = typedFields(began.current, now);
    began.current = next;
    form.reset(next);
    for (const name of typed) form.setValue(name as Path<F>, now[name] as PathValue<F, Path<F>>, { shouldDirty: true });
  }, [form, text]);
  return form;
}
