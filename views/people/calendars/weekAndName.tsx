"use client";
// The name and the plain week of a calendar.
import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod";
import { Button } from "../../../ui/button.tsx";
import { Field, FormFault, FormFooter, TextInput } from "../../../ui/field.tsx";
import { SheetSection } from "../../../ui/sheet.tsx";
import { WeekFields, weekHours, weekSchema } from "../../planFields/weekFields.tsx";
import { texts } from "../words.ts";
import type { Draft } from "./useCalendars.ts";

const fieldsSchema = z
  .object({ name: z.string().trim().min(1, { error: texts.enterANameForTheCalendar }).max(300), week: weekSchema })
  .refine(({ week }) => weekHours(week).some((hours) => hours > 0), { path: ["week", "root"], error: texts.oneDayOfTheWeek });

interface WeekAndNameProps {
  draft: Draft;
  onChange: (set: Partial<Draft>) => void;
  onCopy: () => void;
  onDelete: () => void;
  /** Nobody uses it, so it can be deleted. */
  isFree: boolean;
}

export function WeekAndName({ draft, onChange, onCopy, onDelete, isFree }: WeekAndNameProps) {
  const { register, handleSubmit, formState } = useForm<z.infer<typeof fieldsSchema>>({
    resolver: zodResolver(fieldsSchema),
    defaultValues: { name: draft.name, week: draft.week.map(String) },
  });
  const { errors, isDirty } = formState;
  return (
    <SheetSection>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => void handleSubmit(({ name, week }) => onChange({ name: name.trim(), week: weekHours(week) }))(event)}
      >
        <Field label={texts.name} fault={errors.name?.message}>
          <TextInput {...register("name")} />
        </Field>
        <WeekFields register={register} name="week" faults={errors.week} />
        <FormFault>{errors.week?.root?.message}</FormFault>
        <FormFooter>
          <Button type="submit" disabled={!isDirty}>
            {texts.previewTheEffect}
          </Button>
          <Button onClick={onCopy}>{texts.makeACopy}</Button>
          {isFree && (
            <Button look="danger" onClick={onDelete}>
              Delete
            </Button>
          )}
        </FormFooter>
      </form>
    </SheetSection>
  );
}
