// The table of weekly patterns: a row a pattern, with the hours of each weekday.
import type { Person } from "../plan/schema.ts";
import { dateCell, numberCell, numberText } from "./cells.ts";
import { personColumn, personOf } from "./findPerson.ts";
import { type Draft, type ReadOptions, type RowOutcome, refused, type TableKind, type TableRecord } from "./table.ts";

const weekdays = [
  ["mon", "Mon", "monday", "mo", "montag", "segunda", "segundafeira", "esmaspaev", "lundi", "lunes"],
  ["tue", "Tue", "tuesday", "di", "dienstag", "terca", "tercafeira", "teisipaev", "mardi", "martes"],
  ["wed", "Wed", "wednesday", "mi", "mittwoch", "quarta", "quartafeira", "kolmapaev", "mercredi", "miercoles"],
  ["thu", "Thu", "thursday", "do", "donnerstag", "quinta", "quintafeira", "neljapaev", "jeudi", "jueves"],
  ["fri", "Fri", "friday", "fr", "freitag", "sexta", "sextafeira", "reede", "vendredi", "viernes"],
  ["sat", "Sat", "saturday", "sa", "samstag", "sabado", "laupaev", "samedi", "sabado"],
  ["sun", "Sun", "sunday", "so", "sonntag", "domingo", "puhapaev", "dimanche"],
] as const;

export const fromAliases = [
  "start",
  "startdate",
  "begin",
  "von",
  "ab",
  "beginn",
  "inicio",
  "de",
  "algus",
  "alates",
  "debut",
  "du",
  "desde",
];
export const toAliases = ["until", "end", "enddate", "bis", "ende", "fim", "ate", "lopp", "kuni", "fin", "au", "hasta"];

export const patternsTable: TableKind = {
  name: "patterns",
  title: "Weekly patterns",
  subject: "people",
  columns: [
    personColumn,
    { key: "from", name: "From", isNeeded: true, aliases: fromAliases },
    { key: "to", name: "To", aliases: toAliases },
    ...weekdays.map(([key, name, ...aliases]) => ({ key, name, isNeeded: false, aliases })),
  ],
  rows: (plan) =>
    plan.people.flatMap((person) =>
      (person.patterns ?? []).map(({ from, to, week }) => [person.id, from, to ?? "", ...week.map(numberText)]),
    ),
  take: takePattern,
};

type Pattern = NonNullable<Person["patterns"]>[number];

function takePattern(record: TableRecord, draft: Draft, options: ReadOptions): RowOutcome {
  const person = personOf(record, draft, options);
  if ("reason" in person) return refused(record.person?.trim() || "?", person.reason);
  const about = person.value.name;
  const from = dateCell(record.from ?? "", options.dateOrder, options.earliest);
  const to = record.to?.trim() ? dateCell(record.to, options.dateOrder, options.earliest) : null;
  const week = weekdays.map(([key]) => numberCell(record[key]?.trim() || "0"));
  const reasons = [from, to, ...week].flatMap((read) => (read && "reason" in read ? [read.reason] : []));
  for (const hours of week)
    if ("value" in hours && (hours.value < 0 || hours.value > 24)) reasons.push(`Hours per day must be 0 to 24, not ${hours.value}.`);
  if ("reason" in from || (to && "reason" in to) || reasons.length > 0) return refused(about, ...reasons);
  if (to && to.value < from.value) return refused(about, `The last day ${to.value} must not be before the first day ${from.value}.`);
  const pattern: Pattern = {
    from: from.value,
    ...(to && { to: to.value }),
    week: week.map((hours) => ("value" in hours ? hours.value : 0)),
  };
  return putPattern(person.value, pattern, draft);
}

/** A pattern with the same first day takes the old one's place; a new one is by its first day. */
function putPattern(person: Person, pattern: Pattern, draft: Draft): RowOutcome {
  const patterns = person.patterns ?? [];
  const at = patterns.findIndex(({ from }) => from === pattern.from);
  if (at >= 0 && textOf(patterns[at]) === textOf(pattern)) return { outcome: "leaves", about: person.name, says: [] };
  const before = patterns.findLastIndex(({ from }) => from < pattern.from);
  const next = at >= 0 ? patterns.with(at, pattern) : patterns.toSpliced(before + 1, 0, pattern);
  draft.put("people", { ...person, patterns: next });
  const says = [at >= 0 ? `${textOf(patterns[at])} → ${textOf(pattern)}` : textOf(pattern)];
  return { outcome: at >= 0 ? "changes" : "adds", about: person.name, says };
}

const textOf = ({ from, to, week }: Pattern) => `${week.join(" ")} from ${from}${to === undefined ? "" : ` to ${to}`}`;
