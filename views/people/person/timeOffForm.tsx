"use client";
// Time off: dates, whole or part days, what for, and its state, with what it does to the plan once approved.
import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { type UseFormReturn, useForm } from "react-hook-form";
import * as z from "zod";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Person, TimeOff } from "../../../core/plan/schema.ts";
import { readDate, writeDate } from "../../../ui/dateText.ts";
import { Field, TextInput } from "../../../ui/field.tsx";
import { FormChoice, FormDate } from "../../../ui/form.tsx";
import { newId } from "../../../ui/newId.ts";
import { wordOptions } from "../../../ui/options.ts";
import { useImpact } from "../../effect/impact.tsx";
import { timeOffKinds } from "../dayWords.ts";
import { texts } from "../words.ts";
import { PartForm } from "./partForm.tsx";
import { dateRangeFields, hoursADay, hoursOf } from "./rangeFields.ts";
import type { PersonHook } from "./usePerson.ts";

const fieldsSchema = dateRangeFields({
  hoursPerDay: hoursADay(true),
  kind: z.enum(["holiday", "sick", "training", "other"]),
  state: z.enum(["requested", "approved", "declined"]),
  note: z.string().max(2_000),
});
type Fields = z.infer<typeof fieldsSchema>;

interface TimeOffProps {
  person: Person;
  entry: TimeOff;
  isNew: boolean;
  hook: Pick<PersonHook, "edit">;
  onClose: () => void;
}

export function TimeOffForm(props: TimeOffProps) {
  const { person, entry, isNew, onClose } = props;
  const { form, ...acts } = useTimeOff(props);
  return (
    <PartForm
      title={isNew ? texts.timeOff : timeOffKinds[entry.kind]}
      personName={person.name}
      isNew={isNew}
      state={form.formState}
      impactTitle={impactTitles[form.watch("state")]}
      onClose={onClose}
      {...acts}
    >
      <OffFields form={form} isNew={isNew} />
    </PartForm>
  );
}

/** The effect matters before approval, too; a declined request has none. */
const impactTitles: Record<Fields["state"], string | null> = {
  approved: "Effect",
  requested: "Effect of approval",
  declined: null,
};

/** The typed values, their edit and the effect of approval. */
function useTimeOff({ person, entry, isNew, hook, onClose }: TimeOffProps) {
  const [id] = useState(() => (isNew ? newId("off") : entry.id));
  const form = useForm<Fields>({
    resolver: zodResolver(fieldsSchema),
    mode: "onChange",
    defaultValues: {
      from: writeDate(entry.from),
      to: writeDate(entry.to),
      hoursPerDay: entry.hoursPerDay === undefined ? "" : String(entry.hoursPerDay),
      kind: entry.kind,
      state: entry.state,
      note: entry.note ?? "",
    },
  });
  const fields = form.watch();
  const edit = (typed: Fields, state = typed.state): Edit => ({
    kind: "setTimeOff",
    personId: person.id,
    timeOff: { ...offOf(typed, entry), id, state },
  });
  const impact = useImpact(fieldsSchema.safeParse(fields).success && fields.state !== "declined" ? edit(fields, "approved") : null);
  const save = async (typed: Fields) => {
    if (await hook.edit(edit(typed))) onClose();
  };
  const onDelete = async () => {
    if (await hook.edit({ kind: "deleteTimeOff", personId: person.id, id: entry.id })) onClose();
  };
  return { form, impact, onSubmit: form.handleSubmit(save), onDelete };
}

function offOf(typed: Fields, { reason }: TimeOff): Omit<TimeOff, "id"> {
  const hours = hoursOf(typed.hoursPerDay);
  return {
    from: readDate(typed.from) ?? "",
    to: readDate(typed.to) ?? "",
    ...(hours !== null && { hoursPerDay: hours }),
    kind: typed.kind,
    state: typed.state,
    ...(typed.note.trim() && { note: typed.note.trim() }),
    ...(reason !== undefined && { reason }),
  };
}

function OffFields({ form: { register, control, formState }, isNew }: { form: UseFormReturn<Fields>; isNew: boolean }) {
  const { errors } = formState;
  return (
    <>
      <div className="field-pair">
        <FormDate label={texts.firstDay} control={control} name="from" autoFocus={isNew} />
        <FormDate label={texts.lastDay} control={control} name="to" />
        <Field label={texts.forText}>
          <FormChoice control={control} name="kind" options={wordOptions(timeOffKinds)} />
        </Field>
        <Field label={texts.hoursADay} fault={errors.hoursPerDay?.message}>
          <TextInput {...register("hoursPerDay")} placeholder={texts.wholeDays} inputMode="decimal" />
        </Field>
      </div>
      <Field label={texts.note}>
        <TextInput {...register("note")} />
      </Field>
      <Field label={texts.state}>
        <FormChoice
          control={control}
          name="state"
          options={[
            { value: "requested", text: texts.requestedWaitingForAnAnswer },
            { value: "approved", text: texts.approved },
            { value: "declined", text: texts.declined },
          ]}
        />
      </Field>
    </>
  );
}
