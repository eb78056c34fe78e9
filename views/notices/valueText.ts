"use client";
// Fields and values of the plan as they are read: what a field is called, and ids by their names.
import { useMemo } from "react";
import { isCalendarDate } from "../../core/values/calendarDate.ts";
import { writeDate } from "../../ui/dateText.ts";
import { useNames } from "../scope/facts.ts";

/** "durationDays" as "duration days"; of a rate "person mara 2027-01-01: rate" names whom it is about. */
export function fieldText(field: string, nameOf: (value: unknown) => string): string {
  const [subject, own] = field.split(": ");
  const words = (own ?? subject)
    .replace(/Id$/, "")
    .replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .trim();
  if (own === undefined) return words;
  const [kind, id = "", from = ""] = subject.split(" ");
  return [kind === "default" ? "everyone else" : nameOf(id), words, from && `from ${writeDate(from)}`].filter(Boolean).join(", ");
}

/** A value as it is read; ids by their names. */
export function useValueText(): (value: unknown) => string {
  const { people, roles, projects, teams, calendars, clients, materials } = useNames();
  const names = useMemo(
    () => new Map([people, roles, projects, teams, calendars, clients, materials].flat().map(({ id, name }) => [id, name])),
    [people, roles, projects, teams, calendars, clients, materials],
  );
  return (value) => {
    if (value === null || value === undefined) return "none";
    if (typeof value === "string") return isCalendarDate(value) ? writeDate(value) : (names.get(value) ?? `“${value}”`);
    if (typeof value === "number" || typeof value === "boolean") return String(value);
    return Array.isArray(value) ? `${value.length} entries` : "something else";
  };
}
