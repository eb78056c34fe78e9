// The fields of a person's form, and how they become a person.

import * as z from "zod";
import type { Person, RateTable } from "../../core/plan/schema.ts";
import { readAmount } from "../../ui/amount.ts";
import { DATE_HINT, isDateText, readDate, writeDate } from "../../ui/dateText.ts";
import { skillFieldsSchema, skillRowsOf, skillsOf } from "../planFields/skillFields.tsx";
import { weekHours, weekSchema } from "../planFields/weekFields.tsx";
import { texts } from "./words.ts";

const date = z.string().refine(isDateText, { error: DATE_HINT });
const amount = z.string().refine((text) => text.trim() === "" || readAmount(text, 0, 1e8), { error: texts.enterAnAmountOf0 });
export const personFields = z
  .object({
    name: z.string().trim().min(1, { error: texts.enterANameForThePerson }).max(300),
    email: z.string().max(300),
    roleId: z.string(),
    otherRoleIds: z.array(z.string()),
    calendarId: z.string().min(1),
    kind: z.enum(["employee", "contractor"]),
    location: z.string().max(300),
    employedFrom: date,
    employedTo: date,
    hasPattern: z.boolean(),
    patternFrom: date,
    week: weekSchema,
    skills: skillFieldsSchema,
    /** For a new person; empty when the role's rate applies. */
    costRate: amount,
    billRate: amount,
  })
  .superRefine(({ employedFrom, employedTo, hasPattern, patternFrom }, context) => {
    const [first, last] = [readDate(employedFrom), readDate(employedTo)];
    if (first && last && last < first) context.addIssue({ code: "custom", path: ["employedTo"], message: texts.theLastDayMust });
    if (hasPattern && readDate(patternFrom) === null)
      context.addIssue({ code: "custom", path: ["patternFrom"], message: texts.enterTheDate });
  });

export type PersonFields = z.infer<typeof personFields>;

/** A person as they are now in the form: of several patterns, the newest. */
export function fieldsOfPerson(person: Partial<Person>, calendarId: string, calendarWeek: readonly number[], today: string): PersonFields {
  const pattern = person.patterns?.at(-1);
  return {
    name: person.name ?? "",
    email: person.email ?? "",
    roleId: person.roleIds?.[0] ?? "",
    otherRoleIds: person.roleIds?.slice(1) ?? [],
    calendarId: person.calendarId ?? calendarId,
    kind: person.kind ?? "employee",
    location: person.location ?? "",
    employedFrom: writeDate(person.employedFrom),
    employedTo: writeDate(person.employedTo),
    hasPattern: pattern !== undefined,
    patternFrom: writeDate(pattern?.from ?? today),
    week: (pattern?.week ?? calendarWeek).map(String),
    skills: skillRowsOf(person.skills),
    costRate: "",
    billRate: "",
  };
}

/** The typed rates of a new person, by the kind of their table. */
export const ratesOfPerson = ({ costRate, billRate }: PersonFields): Record<RateTable["kind"], number | null> => ({
  cost: readAmount(costRate, 0, 1e8)?.value ?? null,
  bill: readAmount(billRate, 0, 1e8)?.value ?? null,
});

/** The keys that the form sets. Patterns before the newest stay as they are; one with a later first day is added after them. */
export function setOfPerson(
  fields: PersonFields,
  person: Partial<Person>,
): { [K in keyof Omit<Person, "id">]?: Person[K] | null } & { name: string; calendarId: string; roleIds: string[] } {
  const text = (value: string) => (value.trim() === "" ? null : value.trim());
  return {
    name: fields.name.trim(),
    email: text(fields.email),
    roleIds: [...new Set([fields.roleId, ...fields.otherRoleIds])].filter(Boolean),
    calendarId: fields.calendarId,
    kind: fields.kind,
    location: text(fields.location),
    employedFrom: readDate(fields.employedFrom),
    employedTo: readDate(fields.employedTo),
    skills: skillsOf(fields.skills),
    patterns: patternsOf(fields, person.patterns ?? []),
  };
}

function patternsOf({ hasPattern, patternFrom, week }: PersonFields, patterns: NonNullable<Person["patterns"]>): Person["patterns"] | null {
  if (!hasPattern) return null;
  const hours = weekHours(week);
  const newest = patterns.at(-1);
  const from = readDate(patternFrom) ?? "";
  if (newest && from > newest.from) return [...patterns, { from, week: hours }];
  return [...patterns.slice(0, -1), { ...newest, from, week: hours }];
}
