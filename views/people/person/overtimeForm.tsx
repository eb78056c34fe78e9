"use client";
// Overtime: hours a day on top of the regular ones, over some dates.
import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import type * as z from "zod";
import { formatDay } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Person } from "../../../core/plan/schema.ts";
import { readDate, writeDate } from "../../../ui/dateText.ts";
import { Field, TextInput } from "../../../ui/field.tsx";
import { FormDate } from "../../../ui/form.tsx";
import { newId } from "../../../ui/newId.ts";
import { useImpact } from "../../effect/impact.tsx";
import { usePlanFacts } from "../../scope/facts.ts";
import { texts } from "../words.ts";
import { PartForm } from "./partForm.tsx";
import { dateRangeFields, hoursADay, hoursOf } from "./rangeFields.ts";
import type { PersonHook } from "./usePerson.ts";

const fieldsSchema = dateRangeFields({ hoursPerDay: hoursADay(false) });
type Fields = z.infer<typeof fieldsSchema>;
type Overtime = NonNullable<Person["overtime"]>[number];

interface OvertimeProps {
  person: Person;
  entry: Overtime | null;
  hook: PersonHook;
  onClose: () => void;
}

export function OvertimeForm(props: OvertimeProps) {
  const { register, control, formState, ...acts } = useOvertime(props);
  const { errors } = formState;
  return (
    <PartForm
      title={texts.overtime}
      personName={props.person.name}
      isNew={!props.entry}
      state={formState}
      onClose={props.onClose}
      {...acts}
    >
      <div className="field-pair">
        <FormDate label={texts.firstDay} control={control} name="from" />
        <FormDate label={texts.lastDay} control={control} name="to" />
        <Field label={texts.hoursADay} fault={errors.hoursPerDay?.message}>
          <TextInput {...register("hoursPerDay")} inputMode="decimal" />
        </Field>
      </div>
    </PartForm>
  );
}

/** The typed values, their edit and its effect. */
function useOvertime({ person, entry, hook, onClose }: OvertimeProps) {
  const { today } = usePlanFacts();
  const { register, control, handleSubmit, watch, formState } = useForm<Fields>({
    resolver: zodResolver(fieldsSchema),
    mode: "onChange",
    defaultValues: {
      from: writeDate(entry?.from ?? formatDay(today)),
      to: writeDate(entry?.to ?? formatDay(today + 4)),
      hoursPerDay: String(entry?.hoursPerDay ?? 1),
    },
  });
  const [id] = useState(() => entry?.id ?? newId("overtime"));
  const others = (person.overtime ?? []).filter((own) => own.id !== id);
  const edit = (typed: Fields): Edit => ({
    kind: "changePerson",
    id: person.id,
    set: { overtime: [...others, { id, ...overtimeOf(typed) }] },
  });
  const fields = watch();
  const isWorthAsking = fieldsSchema.safeParse(fields).success && (!entry || formState.isDirty);
  const impact = useImpact(isWorthAsking ? edit(fields) : null);
  const save = async (typed: Fields) => {
    if (await hook.edit(edit(typed))) onClose();
  };
  const onDelete = async () => {
    if (await hook.changePerson({ overtime: others.length > 0 ? others : null })) onClose();
  };
  return { register, control, formState, impact, onSubmit: handleSubmit(save), onDelete };
}

const overtimeOf = (typed: Fields): Omit<Overtime, "id"> => ({
  from: readDate(typed.from) ?? "",
  to: readDate(typed.to) ?? "",
  hoursPerDay: hoursOf(typed.hoursPerDay) ?? 0,
});
