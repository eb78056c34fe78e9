"use client";
// Overtime: hours a day on top of the regular ones, over some dates.
import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import type * as z from "zod";
import { formatDay } from "../../../core/calendar/day.ts";
import type { Edit } from "../../../core/edits/edit.ts";
import type { Person } from "../../../core/plan/schema.ts";
import { Button } from "../../../ui/button.tsx";
import { readDate, writeDate } from "../../../ui/dateText.ts";
import { Field, FormFooter, TextInput } from "../../../ui/field.tsx";
import { FormDate } from "../../../ui/form.tsx";
import { newId } from "../../../ui/newId.ts";
import { Sheet, SheetSection } from "../../../ui/sheet.tsx";
import { usePlanFacts } from "../../frame/facts.ts";
import { ImpactView, useImpact } from "../../frame/impact.tsx";
import { dateRangeFields, hoursADay, hoursOf } from "./rangeFields.ts";
import type { PersonHook } from "./usePerson.ts";

const fieldsSchema = dateRangeFields({ hoursPerDay: hoursADay(false) });
type Fields = z.infer<typeof fieldsSchema>;
type Overtime = NonNullable<Person["overtime"]>[number];

export function OvertimeForm({
  person,
  entry,
  hook,
  onClose,
}: {
  person: Person;
  entry: Overtime | null;
  hook: PersonHook;
  onClose: () => void;
}) {
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
  const edit = (typed: Fields): Edit => {
    const own: Overtime = {
      id,
      from: readDate(typed.from) ?? "",
      to: readDate(typed.to) ?? "",
      hoursPerDay: hoursOf(typed.hoursPerDay) ?? 0,
    };
    return { kind: "changePerson", id: person.id, set: { overtime: [...others, own] } };
  };
  const fields = watch();
  const isWorthAsking = fieldsSchema.safeParse(fields).success && (!entry || formState.isDirty);
  const impact = useImpact(isWorthAsking ? edit(fields) : null);
  const save = async (typed: Fields) => {
    if (await hook.edit(edit(typed))) onClose();
  };
  const remove = async () => {
    if (await hook.changePerson({ overtime: others.length > 0 ? others : null })) onClose();
  };
  const { errors } = formState;
  return (
    <Sheet title="Overtime" subtitle={person.name} onClose={onClose}>
      <form noValidate onSubmit={(event) => void handleSubmit(save)(event)}>
        <SheetSection>
          <div className="space-y-3">
            <div className="grid grid-cols-2 gap-3">
              <Field label="First day" fault={errors.from?.message}>
                <FormDate control={control} name="from" />
              </Field>
              <Field label="Last day" fault={errors.to?.message}>
                <FormDate control={control} name="to" />
              </Field>
              <Field label="Hours a day" fault={errors.hoursPerDay?.message}>
                <TextInput {...register("hoursPerDay")} inputMode="decimal" />
              </Field>
            </div>
            <FormFooter>
              <Button type="submit" look="main" disabled={formState.isSubmitting || (entry !== null && !formState.isDirty)}>
                {entry ? "Save" : "Add"}
              </Button>
              {entry && (
                <Button look="danger" onClick={() => void remove()}>
                  Delete
                </Button>
              )}
            </FormFooter>
          </div>
        </SheetSection>
        {(!entry || formState.isDirty) && <ImpactView impact={impact} />}
      </form>
    </Sheet>
  );
}
