"use client";
// The settings of the plan: its name, its time, its money, and the band of a level load.
import { zodResolver } from "@hookform/resolvers/zod";
import type { ReactNode } from "react";
import type { Initial } from "../../client/initial.ts";
import type { AnswerOf } from "../../client/questions.ts";
import { useAnswer, usePlan } from "../../client/session.tsx";
import { Field, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { FormEnd } from "../../ui/formEnd.tsx";
import { type FormOver, useFormOver } from "../../ui/useFormOver.ts";
import { Screen } from "../frame/screen.tsx";
import { currencyOptions, monthOptions, weekdayOptions } from "../planFields/planFields.ts";
import { fieldsOfSettings, type SettingsFields, setOfSettings, settingsFields } from "./settingsForm.ts";
import { SettingsTabs } from "./tabs.tsx";
import { texts } from "./words.ts";

export function Settings({ initial }: { initial: Initial<AnswerOf<"settings">> }) {
  const session = usePlan();
  const settings = useAnswer("settings", {}, initial);
  const form = useFormOver("settings", fieldsOfSettings(settings), zodResolver(settingsFields));
  const save = async (fields: SettingsFields) => {
    const faults = await session.edit({ kind: "changeSettings", set: setOfSettings(fields) });
    if (faults.length === 0) form.forget();
  };
  return (
    <Screen title={texts.settings} figures={<SettingsTabs />}>
      <form
        noValidate
        className="min-h-0 flex-1 overflow-y-auto box-open p-5"
        onSubmit={(event) => void form.handleSubmit(save)(event)}
        aria-label={texts.settingsOfThePlan}
      >
        <div className="grid max-w-[860px] gap-x-10 gap-y-5 min-[1100px]:grid-cols-2">
          <Own form={form} />
          <Time form={form} />
          <Level form={form} />
          <Money form={form} />
        </div>
        <div className="pt-5">
          <FormEnd form={form} saveText="Save" isNew={false} />
        </div>
      </form>
    </Screen>
  );
}

interface PartProps {
  form: FormOver<SettingsFields>;
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="space-y-3">
      <legend className="pb-2 font-title text-[18px]">{title}</legend>
      {children}
    </fieldset>
  );
}

function Own({ form: { register, control, formState } }: PartProps) {
  const { errors } = formState;
  return (
    <Part title={texts.thePlan}>
      <Field label={texts.name} fault={errors.name?.message}>
        <TextInput {...register("name")} />
      </Field>
      <div className="field-pair">
        <FormDate label={texts.firstDay} control={control} name="planStart" />
        <FormDate label={texts.lastDay} control={control} name="planEnd" />
      </div>
      <FormDate label={texts.today} hint={texts.leaveEmptyForTheReal} control={control} name="today" placeholder={texts.theRealDate} />
    </Part>
  );
}

function Time({ form: { register, control, formState } }: PartProps) {
  return (
    <Part title={texts.weeksAndYears}>
      <div className="field-pair">
        <Field label={texts.weekStartsOn}>
          <FormChoice control={control} name="weekStartsOn" options={weekdayOptions} />
        </Field>
        <Field label={texts.fiscalYearStartsIn}>
          <FormChoice control={control} name="fiscalYearStartMonth" options={monthOptions} />
        </Field>
      </div>
      <Field label={texts.hoursAWeek} fault={formState.errors.hoursPerFteWeek?.message} hint={texts.anFteOf10}>
        <TextInput {...register("hoursPerFteWeek")} inputMode="decimal" width={120} />
      </Field>
    </Part>
  );
}

function Level({ form: { register, formState } }: PartProps) {
  const { errors } = formState;
  return (
    <Part title={texts.levelLoad}>
      <div className="field-pair">
        <Field label={texts.fromPercentOfCapacity} fault={errors.low?.message} hint={texts.belowItThereIsRoom}>
          <TextInput {...register("low")} inputMode="decimal" />
        </Field>
        <Field label={texts.upToPercentOfCapacity} fault={errors.high?.message} hint={texts.aboveItAPerson}>
          <TextInput {...register("high")} inputMode="decimal" />
        </Field>
      </div>
    </Part>
  );
}

function Money({ form: { register, control, formState } }: PartProps) {
  const { errors } = formState;
  return (
    <Part title={texts.money}>
      <div className="field-pair">
        <Field label={texts.currency} fault={errors.currency?.message} hint={texts.amountsStayAsThey}>
          <FormPicker control={control} name="currency" options={currencyOptions()} />
        </Field>
        <Field label={texts.marginGoalPercent} fault={errors.marginTarget?.message} hint={texts.forProjectsWithoutTheirOwn}>
          <TextInput {...register("marginTarget")} inputMode="decimal" placeholder="none" />
        </Field>
      </div>
      <FormCheckbox control={control} name="taxInCost">
        {texts.taxOnExpensesCounts}
      </FormCheckbox>
    </Part>
  );
}
