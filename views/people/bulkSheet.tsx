"use client";
// Changing many people at once: what is left empty stays as it is; what it does is shown before it is done.
import { zodResolver } from "@hookform/resolvers/zod";
import { type UseFormReturn, useForm } from "react-hook-form";
import * as z from "zod";
import { formatDay } from "../../core/calendar/day.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { Button } from "../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, TextInput } from "../../ui/field.tsx";
import { FormCheckbox, FormChoice, FormDate, FormPicker } from "../../ui/form.tsx";
import { countText } from "../../ui/format.ts";
import { namedOptions, none, textOptions } from "../../ui/options.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { ImpactView, useImpact } from "../effect/impact.tsx";
import { WeekFields, weekHours, weekSchema } from "../planFields/weekFields.tsx";
import { useNames, usePlanFacts } from "../scope/facts.ts";
import type { PeopleHook } from "./usePeople.ts";
import { texts } from "./words.ts";

const fieldsSchema = z
  .object({
    calendarId: z.string(),
    mainRoleId: z.string(),
    teamId: z.string(),
    kind: z.enum(["", "employee", "contractor"]),
    location: z.string().max(300),
    skillId: z.string(),
    level: z.string(),
    hasWeek: z.boolean(),
    week: weekSchema,
    from: z.string().refine(isDateText, { error: DATE_HINT }),
  })
  .refine(({ hasWeek, from }) => !hasWeek || readDate(from) !== null, { path: ["from"], error: texts.enterTheDate });
type Fields = z.infer<typeof fieldsSchema>;

const asTheyAre: Omit<Fields, "from"> = {
  calendarId: "",
  mainRoleId: "",
  teamId: "",
  kind: "",
  location: "",
  skillId: "",
  level: "3",
  hasWeek: false,
  week: ["8", "8", "8", "8", "8", "0", "0"],
};

export function BulkSheet({ people }: { people: PeopleHook }) {
  const { today } = usePlanFacts();
  const ids = [...people.ticked].filter((id) => people.rows.some(({ person }) => person.id === id));
  const form = useForm<Fields>({
    resolver: zodResolver(fieldsSchema),
    mode: "onChange",
    defaultValues: { ...asTheyAre, from: writeDate(formatDay(today)) },
  });
  const { handleSubmit, watch, formState } = form;
  const fields = watch();
  const edit = editOf(ids, fields);
  const impact = useImpact(edit && fieldsSchema.safeParse(fields).success ? edit : null);
  const save = async (typed: Fields) => {
    const made = editOf(ids, typed);
    if (made && (await people.edit(made))) people.untickAll();
  };
  return (
    <Sheet title={countText(ids.length, "person", "people")} subtitle="Empty fields stay unchanged" onClose={people.untickAll}>
      <form noValidate onSubmit={(event) => void handleSubmit(save)(event)}>
        <SheetSection>
          <div className="space-y-3">
            <BulkFields form={form} />
            <Button type="submit" look="main" disabled={!edit || formState.isSubmitting}>
              Change {countText(ids.length, "person", "people")}
            </Button>
          </div>
        </SheetSection>
        {edit && <ImpactView impact={impact} />}
      </form>
    </Sheet>
  );
}

function BulkFields({ form }: { form: UseFormReturn<Fields> }) {
  const { register, control } = form;
  const { roles, calendars, teams, skills } = useNames();
  const choice = (
    name: "calendarId" | "mainRoleId" | "teamId" | "skillId",
    label: string,
    list: readonly { id: string; name: string }[],
  ) => (
    <Field label={label}>
      <FormPicker
        control={control}
        name={name}
        options={[none(name === "teamId" ? "No other team" : name === "skillId" ? "No other skill" : "Unchanged"), ...namedOptions(list)]}
      />
    </Field>
  );
  return (
    <>
      {choice("calendarId", "Calendar", calendars)}
      {choice("mainRoleId", "Main role", roles)}
      {choice("teamId", "Joins the team", teams)}
      <div className="grid grid-cols-[1fr_84px] gap-2">
        {choice("skillId", "Skill", skills)}
        <Field label={texts.level}>
          <FormChoice control={control} name="level" options={textOptions(["1", "2", "3", "4", "5"])} />
        </Field>
      </div>
      <div className="field-pair">
        <Field label={texts.kind}>
          <FormChoice
            control={control}
            name="kind"
            options={[none("Unchanged"), { value: "employee", text: texts.employee }, { value: "contractor", text: texts.contractor }]}
          />
        </Field>
        <Field label={texts.place}>
          <TextInput {...register("location")} placeholder="unchanged" />
        </Field>
      </div>
      <WeekFrom form={form} />
    </>
  );
}

/** A week that all of them work from a date on. */
function WeekFrom({ form: { register, control, watch, formState } }: { form: UseFormReturn<Fields> }) {
  return (
    <fieldset className="rounded-card border border-line p-2.5">
      <FormCheckbox control={control} name="hasWeek">
        {texts.newWorkingWeek}
      </FormCheckbox>
      {watch("hasWeek") && (
        <div className="space-y-2 pt-2">
          <WeekFields register={register} name="week" faults={formState.errors.week} />
          <FormDate label={texts.fromText} control={control} name="from" />
        </div>
      )}
    </fieldset>
  );
}

/** The edit that the fields ask for; null while nothing is to be changed. */
function editOf(ids: string[], fields: Fields): Edit | null {
  const { calendarId, mainRoleId, teamId, kind, location, skillId, level, hasWeek, week, from } = fields;
  const set: Extract<Edit, { kind: "changePeople" }>["set"] = {
    ...(calendarId && { calendarId }),
    ...(mainRoleId && { mainRoleId }),
    ...(teamId && { teamId }),
    ...(kind && { kind }),
    ...(location.trim() && { location: location.trim() }),
    ...(skillId && { skills: [{ skillId, level: Number(level) }] }),
    ...(hasWeek && { pattern: { from: readDate(from) ?? "", week: weekHours(week) } }),
  };
  return ids.length > 0 && Object.keys(set).length > 0 ? { kind: "changePeople", ids, set } : null;
}
