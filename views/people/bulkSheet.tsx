"use client";
// Changing many people at once: what is left empty stays as it is; what it does is shown before it is done.
import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod";
import { formatDay } from "../../core/calendar/day.ts";
import type { Edit } from "../../core/edits/edit.ts";
import { Button } from "../../ui/button.tsx";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { Field, NamedOptions, Select, TextInput } from "../../ui/field.tsx";
import { countText } from "../../ui/format.ts";
import { Sheet, SheetSection } from "../../ui/sheet.tsx";
import { useNames, usePlanFacts } from "../frame/facts.ts";
import { ImpactView, useImpact } from "../frame/impact.tsx";
import type { PeopleHook } from "./usePeople.ts";
import { WeekFields, weekHours, weekSchema } from "./weekFields.tsx";

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
  .refine(({ hasWeek, from }) => !hasWeek || readDate(from) !== null, { path: ["from"], error: "Give the day from which it holds." });
type Fields = z.infer<typeof fieldsSchema>;

export function BulkSheet({ people }: { people: PeopleHook }) {
  const { roles, calendars, teams, skills } = useNames();
  const { today } = usePlanFacts();
  const ids = [...people.ticked].filter((id) => people.rows.some(({ person }) => person.id === id));
  const { register, handleSubmit, watch, formState } = useForm<Fields>({
    resolver: zodResolver(fieldsSchema),
    mode: "onChange",
    defaultValues: {
      calendarId: "",
      mainRoleId: "",
      teamId: "",
      kind: "",
      location: "",
      skillId: "",
      level: "3",
      hasWeek: false,
      week: ["8", "8", "8", "8", "8", "0", "0"],
      from: writeDate(formatDay(today)),
    },
  });
  const fields = watch();
  const edit = editOf(ids, fields);
  const impact = useImpact(edit && fieldsSchema.safeParse(fields).success ? edit : null);
  const save = async (typed: Fields) => {
    const made = editOf(ids, typed);
    if (made && (await people.edit(made))) people.untickAll();
  };
  const choice = (
    name: "calendarId" | "mainRoleId" | "teamId" | "skillId",
    label: string,
    list: readonly { id: string; name: string }[],
  ) => (
    <Field label={label}>
      <Select {...register(name)}>
        <option value="">{name === "teamId" ? "No other team" : name === "skillId" ? "No other skill" : "As it is"}</option>
        <NamedOptions list={list} />
      </Select>
    </Field>
  );
  return (
    <Sheet title={countText(ids.length, "person", "people")} subtitle="What is left as it is stays" onClose={people.untickAll}>
      <form noValidate onSubmit={(event) => void handleSubmit(save)(event)}>
        <SheetSection>
          <div className="space-y-3">
            {choice("calendarId", "Calendar", calendars)}
            {choice("mainRoleId", "Main role", roles)}
            {choice("teamId", "Joins the team", teams)}
            <div className="grid grid-cols-[1fr_84px] gap-2">
              {choice("skillId", "Skill", skills)}
              <Field label="Level">
                <Select {...register("level")}>
                  {["1", "2", "3", "4", "5"].map((level) => (
                    <option key={level}>{level}</option>
                  ))}
                </Select>
              </Field>
            </div>
            <div className="grid grid-cols-2 gap-3">
              <Field label="Kind">
                <Select {...register("kind")}>
                  <option value="">As it is</option>
                  <option value="employee">Employee</option>
                  <option value="contractor">Contractor</option>
                </Select>
              </Field>
              <Field label="Place">
                <TextInput {...register("location")} placeholder="as it is" />
              </Field>
            </div>
            <fieldset className="rounded-card border border-line p-2.5">
              <label className="flex items-center gap-2">
                <input type="checkbox" {...register("hasWeek")} className="accent-pine" /> Another week from a date on
              </label>
              {fields.hasWeek && (
                <div className="space-y-2 pt-2">
                  <WeekFields register={register} name="week" faults={formState.errors.week} />
                  <Field label="From" fault={formState.errors.from?.message}>
                    <TextInput {...register("from")} />
                  </Field>
                </div>
              )}
            </fieldset>
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
