"use client";
// The end of a form: what saves it, and what puts it back.
import type { ReactNode } from "react";
import type { FieldValues } from "react-hook-form";
import { Button } from "./button.tsx";
import type { FormOver } from "./useFormOver.ts";

interface FormEndProps<F extends FieldValues> {
  form: FormOver<F>;
  saveText: string;
  /** Something new can be saved as it is; of what is there, only changes. */
  isNew: boolean;
  /** Further buttons. */
  children?: ReactNode;
}

export function FormEnd<F extends FieldValues>({ form, saveText, isNew, children }: FormEndProps<F>) {
  const { isDirty, isSubmitting } = form.formState;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button type="submit" look="main" disabled={isSubmitting || (!isNew && !isDirty)}>
        {saveText}
      </Button>
      {isDirty && (
        <Button title="Reverts to the saved values" onClick={() => form.discard()}>
          {isNew ? "Clear" : "Discard changes"}
        </Button>
      )}
      {children}
    </div>
  );
}
