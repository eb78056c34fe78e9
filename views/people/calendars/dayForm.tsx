"use client";
// Days that differ from the week: free, shorter, or extra working days.
import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod";
import { formatDay } from "../../../core/calendar/day.ts";
import { Button } from "../../../ui/button.tsx";
import { readDate, writeDate } from "../../../ui/dateText.ts";
import { Field, FormFooter, TextInput } from "../../../ui/field.tsx";
import { FormDate } from "../../../ui/form.tsx";
import { SheetSection } from "../../../ui/sheet.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { dateRangeFields, hoursOf } from "../person/rangeFields.ts";
import { texts } from "../words.ts";
import type { Draft } from "./useCalendars.ts";

const fieldsSchema = dateRangeFields({
  name: z.string().trim().min(1, { error: texts.enterAName }).max(300),
  hours: z.string().refine((text) => (hoursOf(text) ?? 0) >= 0 && (hoursOf(text) ?? 0) <= 24, { error: texts.enter0To24Hours }),
});
type Fields = z.infer<typeof fieldsSchema>;

function useDay(known: Draft["exceptions"][number] | null, day: number | null) {
  const { today } = usePlanFacts();
  const date = known?.from ?? formatDay(day ?? today);
  return useForm<Fields>({
    resolver: zodResolver(fieldsSchema),
    defaultValues: { from: writeDate(date), to: writeDate(known?.to ?? date), name: known?.name ?? "", hours: String(known?.hours ?? 0) },
  });
}

interface DayFormProps {
  /** The index of the exception; null for a new one. */
  at: number | null;
  day: number | null;
  draft: Draft;
  onChange: (set: Partial<Draft>) => void;
  onBack: () => void;
}

export function DayForm({ at, day, draft, onChange, onBack }: DayFormProps) {
  const known = at === null ? null : (draft.exceptions[at] ?? null);
  const { register, control, handleSubmit, formState } = useDay(known, day);
  const { errors } = formState;
  const put = ({ from, to, name, hours }: Fields) => {
    const own = { from: readDate(from) ?? "", to: readDate(to) ?? "", hours: hoursOf(hours) ?? 0, name: name.trim() };
    onChange({ exceptions: known ? draft.exceptions.map((exception, row) => (row === at ? own : exception)) : [...draft.exceptions, own] });
  };
  return (
    <SheetSection title={known ? texts.aDayThatDiffers : texts.anotherDayThatDiffers}>
      <form noValidate className="space-y-3" onSubmit={(event) => void handleSubmit(put)(event)}>
        <Field label={texts.nameOfTheDay} fault={errors.name?.message}>
          <TextInput {...register("name")} autoFocus placeholder={texts.shortDayBeforeTheHolidays} />
        </Field>
        <div className="field-pair">
          <FormDate label={texts.firstDay} control={control} name="from" />
          <FormDate label={texts.lastDay} control={control} name="to" />
          <Field label={texts.hours0ForADay} fault={errors.hours?.message}>
            <TextInput {...register("hours")} inputMode="decimal" />
          </Field>
        </div>
        <FormFooter>
          <Button type="submit">{texts.previewTheEffect}</Button>
          {known && (
            <Button look="danger" onClick={() => onChange({ exceptions: draft.exceptions.filter((_, row) => row !== at) })}>
              {texts.remove}
            </Button>
          )}
          <Button onClick={onBack}>{texts.back}</Button>
        </FormFooter>
      </form>
    </SheetSection>
  );
}
