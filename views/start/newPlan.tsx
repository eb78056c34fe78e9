"use client";
// A new, empty plan in the place of the one that is open, which is kept.
import { zodResolver } from "@hookform/resolvers/zod";
import { type FormEvent, useState } from "react";
import { type UseFormReturn, useForm } from "react-hook-form";
import * as z from "zod";
import { post } from "../../client/post.ts";
import { useHost } from "../../client/session.tsx";
import { newPlan, usualHorizon } from "../../core/projects/newPlan.ts";
import { Button } from "../../ui/button.tsx";
import { readDate, writeDate } from "../../ui/dateText.ts";
import { Field, FormFault, TextInput } from "../../ui/field.tsx";
import { FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { HolidayPlace, useHolidayPlace } from "../planFields/holidayPlace.tsx";
import { currencyOptions, day, weekdayOptions } from "../planFields/planFields.ts";
import { WeekFields, weekHours, weekSchema } from "../planFields/weekFields.tsx";
import { useFrame } from "../scope/facts.ts";
import { showFirstSteps } from "./firstStepsShown.ts";
import { texts } from "./words.ts";

const fieldsSchema = z
  .object({
    name: z.string().trim().min(1, { error: texts.enterAName }).max(300),
    currency: z.string(),
    weekStartsOn: z.string(),
    planStart: day,
    planEnd: day,
    week: weekSchema.refine((week) => weekHours(week).some((hours) => hours > 0), { path: ["root"], error: texts.oneDayNeedsHours }),
  })
  .refine(({ planStart, planEnd }) => (readDate(planEnd) ?? "") >= (readDate(planStart) ?? ""), {
    path: ["planEnd"],
    error: texts.theLastDayMust,
  });
type Fields = z.infer<typeof fieldsSchema>;

export function NewPlan({ planName, onClose }: { planName: string; onClose: () => void }) {
  const unsettled = useHost((state) => state?.unsettled ?? 0);
  const place = useHolidayPlace();
  const { form, fault, submit } = useNewPlan(place);
  return (
    <div className="absolute top-[68px] right-0 bottom-0 z-40 shadow-float">
      <Sheet title={texts.newPlan} subtitle={`It replaces “${planName}”`} onClose={onClose}>
        <SheetSection>
          <form noValidate className="space-y-3" onSubmit={submit}>
            <Field label={texts.name} fault={form.formState.errors.name?.message}>
              <TextInput {...form.register("name")} autoFocus />
            </Field>
            <HolidayPlace place={place} noneText="No public holidays yet" />
            <Frame form={form} />
            <FormFault>{fault ?? place.fault}</FormFault>
            <p className="text-side">
              “{planName}” is kept as a copy in the data folder. You can save it as a file from this menu first. Undo does not reach back
              past this step.
            </p>
            <Button type="submit" look="main" disabled={form.formState.isSubmitting || unsettled > 0}>
              {texts.createPlan}
            </Button>
            {unsettled > 0 && <p className="text-[13px] text-ochre-ink">{texts.waitUntilYourLastChanges}</p>}
          </form>
        </SheetSection>
      </Sheet>
    </div>
  );
}

/** The typed values, and the plan made from them. */
function useNewPlan(place: ReturnType<typeof useHolidayPlace>) {
  const { clock } = useFrame();
  const [fault, setFault] = useState<string | null>(null);
  const horizon = usualHorizon(clock);
  const form = useForm<Fields>({
    resolver: zodResolver(fieldsSchema),
    defaultValues: {
      name: "",
      currency: "EUR",
      weekStartsOn: "1",
      planStart: writeDate(horizon.planStart),
      planEnd: writeDate(horizon.planEnd),
      week: ["8", "8", "8", "8", "8", "0", "0"],
    },
  });
  const make = async (fields: Fields) => {
    setFault(null);
    try {
      await replaceWith(await planOf(fields, place));
      showFirstSteps(true);
      window.location.assign("/settings/roles");
    } catch (error) {
      setFault(error instanceof Error ? error.message : "The plan could not be created.");
    }
  };
  return { form, fault, submit: (event: FormEvent) => void form.handleSubmit(make)(event) };
}

/** Currency, dates and the working week. */
function Frame({ form: { register, control, formState } }: { form: UseFormReturn<Fields> }) {
  const { errors } = formState;
  return (
    <>
      <div className="field-pair">
        <Field label={texts.currency}>
          <FormPicker control={control} name="currency" options={currencyOptions()} />
        </Field>
        <Field label={texts.weekStartsOn}>
          <FormChoice control={control} name="weekStartsOn" options={weekdayOptions} />
        </Field>
        <FormDate label={texts.firstDay} control={control} name="planStart" />
        <FormDate label={texts.lastDay} control={control} name="planEnd" />
      </div>
      <div>
        <span className="field-label">{texts.hoursOfAWorkingWeek}</span>
        <WeekFields register={register} name="week" faults={errors.week} />
      </div>
    </>
  );
}

async function planOf(fields: Fields, place: ReturnType<typeof useHolidayPlace>) {
  const [planStart, planEnd] = [readDate(fields.planStart) ?? "", readDate(fields.planEnd) ?? ""];
  const years = { from: planStart.slice(0, 4), to: planEnd.slice(0, 4) };
  return newPlan({
    settings: { name: fields.name.trim(), currency: fields.currency, weekStartsOn: Number(fields.weekStartsOn), planStart, planEnd },
    week: weekHours(fields.week),
    holidays: place.country === "" ? [] : await place.holidaysOf(years),
    calendarName: place.name === "" ? "Standard week" : place.name,
  });
}

/** @throws {Error} with a sentence where the server does not take it. */
async function replaceWith(plan: ReturnType<typeof newPlan>): Promise<void> {
  const response = await post("/api/plan/file?replace=yes", { body: JSON.stringify(plan) }).catch(() => null);
  if (!response) throw new Error("The server cannot be reached. Nothing was changed; try again when it answers.");
  const { faults }: { faults: string[] } = await response.json();
  if (faults.length > 0) throw new Error(faults.join(" "));
}
