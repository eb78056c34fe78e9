"use client";
// The form of one part of a person: its fields, what saves or deletes it, and what that would do.
import type { FormEvent, ReactNode } from "react";
import type { FormState } from "react-hook-form";
import type { Redacted } from "../../../client/seen.ts";
import type { Impact } from "../../../core/answers/impact.ts";
import { Button } from "../../../ui/button.tsx";
import { FormFooter } from "../../../ui/field.tsx";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { ImpactView } from "../../effect/impact.tsx";
import { texts } from "../words.ts";

interface PartFormProps {
  title: string;
  personName: string;
  isNew: boolean;
  state: Pick<FormState<Record<string, unknown>>, "isDirty" | "isSubmitting">;
  impact: Redacted<Impact> | null;
  /** Null where nothing is worth telling. */
  impactTitle?: string | null;
  addText?: string;
  deleteText?: string;
  onSubmit: (event: FormEvent) => Promise<void>;
  onDelete: () => Promise<void>;
  onClose: () => void;
  children: ReactNode;
}

export function PartForm({ title, personName, isNew, state, onSubmit, onDelete, onClose, children, ...more }: PartFormProps) {
  const { impact, impactTitle, addText = "Add", deleteText = "Delete" } = more;
  const isSavable = isNew || state.isDirty;
  return (
    <Sheet title={title} subtitle={personName} onClose={onClose}>
      <form noValidate onSubmit={(event) => void onSubmit(event)}>
        <SheetSection>
          <div className="space-y-3">
            {children}
            <FormFooter>
              <Button type="submit" look="main" disabled={state.isSubmitting || !isSavable}>
                {isNew ? addText : texts.save}
              </Button>
              {!isNew && (
                <Button look="danger" onClick={() => void onDelete()}>
                  {deleteText}
                </Button>
              )}
            </FormFooter>
          </div>
        </SheetSection>
        {isSavable && impactTitle !== null && <ImpactView impact={impact} title={impactTitle} />}
      </form>
    </Sheet>
  );
}
