// The table of days on which a calendar differs from its week: holidays, short days, extra working days.
import type { Calendar } from "../plan/schema.ts";
import { dateCell, numberCell, numberText, textCell } from "./cells.ts";
import { namedRow } from "./namedRow.ts";
import { fromAliases, toAliases } from "./patterns.ts";
import { type Draft, type ReadOptions, type RowOutcome, refused, type TableKind, type TableRecord } from "./table.ts";

export const holidaysTable: TableKind = {
  name: "holidays",
  title: "Calendar days",
  subject: "calendars",
  columns: [
    { key: "calendar", name: "Calendar", isNeeded: true, aliases: ["kalender", "calendario", "calendrier"] },
    { key: "from", name: "From", isNeeded: true, aliases: ["date", "day", "datum", "data", "kuupaev", "fecha", ...fromAliases] },
    { key: "to", name: "To", aliases: toAliases },
    { key: "hours", name: "Hours", aliases: ["stunden", "horas", "tunnid", "heures"] },
    {
      key: "name",
      name: "Name",
      isNeeded: true,
      aliases: [
        "holiday",
        "title",
        "summary",
        "description",
        "feiertag",
        "feriado",
        "nome",
        "riigipuha",
        "nimi",
        "jourferie",
        "nom",
        "festivo",
      ],
    },
  ],
  rows: (plan) =>
    plan.calendars.flatMap(({ name: calendar, exceptions }) =>
      exceptions.map(({ from, to, hours, name }) => [calendar, from, to, numberText(hours), name]),
    ),
  take: takeDay,
};

type Exception = Calendar["exceptions"][number];

/** Without hours a day is free. */
function takeDay(record: TableRecord, draft: Draft, options: ReadOptions): RowOutcome {
  const calendar = calendarOf(record, draft, options);
  const name = textCell(record.name ?? "");
  const about = `${"value" in calendar ? calendar.value.name : (record.calendar ?? "?")}: ${"value" in name ? name.value : "?"}`;
  const from = dateCell(record.from ?? "", options.dateOrder);
  const to = record.to?.trim() ? dateCell(record.to, options.dateOrder) : from;
  const hours = record.hours?.trim() ? numberCell(record.hours) : { value: 0 };
  const reasons = [calendar, name, from, to, hours].flatMap((read) => ("reason" in read ? [read.reason] : []));
  if ("reason" in calendar || "reason" in name || "reason" in from || "reason" in to || "reason" in hours)
    return refused(about, ...new Set(reasons));
  if (name.value === "") return refused(about, "Enter a name for the day.");
  if (name.value.length > 300) return refused(about, "The name is longer than 300 letters.");
  if (hours.value < 0 || hours.value > 24) return refused(about, `Hours per day must be 0 to 24, not ${hours.value}.`);
  if (to.value < from.value) return refused(about, `The last day ${to.value} must not be before the first day ${from.value}.`);
  return putDay(calendar.value, { from: from.value, to: to.value, hours: hours.value, name: name.value }, about, draft);
}

function calendarOf(record: TableRecord, draft: Draft, { subjectId }: ReadOptions) {
  const cell = record.calendar?.trim() ?? "";
  if (cell !== "") return namedRow(cell, "calendars", draft);
  const subject = subjectId === undefined ? undefined : draft.find("calendars", subjectId);
  return subject ? { value: subject } : { reason: "No calendar is named here." };
}

/** One with the same name and first day takes the old one's place. */
function putDay(calendar: Calendar, day: Exception, about: string, draft: Draft): RowOutcome {
  const at = calendar.exceptions.findIndex(({ from, name }) => from === day.from && name === day.name);
  const before = calendar.exceptions[at];
  if (before && before.to === day.to && before.hours === day.hours) return { outcome: "leaves", about, says: [] };
  draft.put("calendars", { ...calendar, exceptions: before ? calendar.exceptions.with(at, day) : [...calendar.exceptions, day] });
  return before
    ? { outcome: "changes", about, says: [`${textOf(before)} → ${textOf(day)}`] }
    : { outcome: "adds", about, says: [textOf(day)] };
}

const textOf = ({ from, to, hours }: Exception) => `${from === to ? from : `${from} to ${to}`}, ${hours === 0 ? "free" : `${hours} h`}`;
