// The table of time off: a row an entry.

import type { Person, TimeOff } from "../plan/schema.ts";
import { plainText } from "../values/plainText.ts";
import { numberCell, numberText, type Read, textCell, wordCell } from "./cells.ts";
import { personColumn, personOf } from "./findPerson.ts";
import { holidaysTable } from "./holidays.ts";
import { fromAliases, toAliases } from "./patterns.ts";
import { RowReading } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, refused, type TableKind, type TableRecord } from "./table.ts";

export const timeOffTable: TableKind = {
  name: "timeOff",
  title: "Time off",
  subject: "people",
  subjectIn: "note",
  columns: [
    personColumn,
    { key: "from", name: "From", isNeeded: true, aliases: ["firstday", ...fromAliases] },
    { key: "to", name: "To", aliases: ["lastday", ...toAliases] },
    { key: "hoursPerDay", name: "Hours a day", aliases: ["hours", "hoursperday", "stunden", "stundenprotag", "horas", "tunnid", "heures"] },
    { key: "kind", name: "Kind", aliases: ["type", "reason", "art", "grund", "tipo", "motivo", "liik", "motif"] },
    { key: "state", name: "State", aliases: ["status", "estado", "olek", "etat", "approved", "genehmigt"] },
    {
      key: "note",
      name: "Note",
      aliases: ["notes", "comment", "title", "summary", "notiz", "bemerkung", "nota", "markus", "remarque", "comentario"],
    },
    { key: "id", name: "Id", aliases: ["timeoffid", "uid"] },
  ],
  rows: (plan) =>
    plan.people.flatMap((person) =>
      (person.timeOff ?? []).map(({ id, from, to, hoursPerDay, kind, state, note }) => [
        person.id,
        from,
        to,
        numberText(hoursPerDay),
        kind,
        state,
        note ?? "",
        id,
      ]),
    ),
  take: takeTimeOff,
};

const kindWords = {
  holiday: ["leave", "vacation", "annualleave", "pto", "urlaub", "ferias", "puhkus", "conge", "conges", "vacaciones"],
  sick: ["sickness", "sickleave", "ill", "krank", "krankheit", "doenca", "haigus", "maladie", "enfermedad"],
  training: ["course", "fortbildung", "schulung", "formacao", "koolitus", "formation", "formacion"],
  other: ["away", "absence", "sonstiges", "outro", "muu", "autre", "otro"],
} as const;
const stateWords = {
  requested: ["asked", "open", "pending", "beantragt", "offen", "pedido", "pendente", "taotletud", "demande", "solicitado"],
  approved: ["granted", "yes", "genehmigt", "aprovado", "kinnitatud", "approuve", "aprobado"],
  declined: ["refused", "rejected", "no", "abgelehnt", "recusado", "keeldutud", "refuse", "rechazado"],
} as const;

function takeTimeOff(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const person = personOrTitled(record, draft, options);
  if ("reason" in person) return withoutPerson(record, person.reason, draft, options);
  const about = person.value.name;
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const from = reading.take(reading.date(record.from ?? ""));
  const to = reading.text("to") === null ? from : reading.cell("to", reading.date);
  const hours = reading.cell("hoursPerDay", numberCell);
  // A calendar does not say what leave is for: what is known already keeps its kind and its note.
  const known = person.value.timeOff?.find(({ id }) => id === reading.text("id")?.trim());
  const kind = reading.text("kind") === null ? (known?.kind ?? "holiday") : reading.cell("kind", (cell) => wordCell(cell, kindWords));
  const state = reading.text("state") === null ? "requested" : reading.cell("state", (cell) => wordCell(cell, stateWords));
  const note = reading.text("note") === null && record.kind === undefined ? known?.note : reading.cell("note", textCell);
  if (hours !== undefined && (hours < 0 || hours > 24)) reasons.push(`Hours per day must be 0 to 24, not ${hours}.`);
  if (from && to && to < from) reasons.push(`The last day ${to} must not be before the first day ${from}.`);
  if (note !== undefined && note.length > 20_000) reasons.push("The note is longer than 20,000 letters.");
  if (reasons.length > 0 || !from || !to || !kind || !state) return refused(about, ...reasons);
  const stated = { from, to, ...(hours !== undefined && { hoursPerDay: hours }), kind, state, ...(note && { note }) };
  return putTimeOff(person.value, stated, reading.text("id")?.trim() ?? null, `${options.idStem}-${line}`, draft);
}

/** A row without a person: a day of the calendar that takes the rest, else refused. */
function withoutPerson(record: TableRecord, reason: string, draft: Draft, options: ReadOptions): RowOutcome {
  const isNamed = (record.person?.trim() ?? "") !== "";
  const { restCalendarId: subjectId } = options;
  if (isNamed) return refused(record.person?.trim() ?? "", reason);
  if (subjectId === undefined) return { ...refused(record.note?.trim() || "?", reason), namesNobody: true };
  const day = { from: record.from, to: record.to, name: record.note ?? "" };
  return holidaysTable.take(day, draft, { ...options, subjectId }, 0);
}

/** The person of a row. Without a cell for the person, it is the one whose name is in the title: "Ada Quill – annual leave". */
function personOrTitled(record: TableRecord, draft: Draft, options: ReadOptions): Read<Person> {
  if (record.person?.trim() || !record.note) return personOf(record, draft, options);
  const title = ` ${wordsOf(record.note)} `;
  const named = draft.all("people").filter(({ name }) => title.includes(` ${wordsOf(name)} `));
  if (named.length === 1) return { value: named[0] };
  if (named.length > 1 && options.subjectId === undefined) return { reason: `"${record.note.trim()}" names ${named.length} people.` };
  return personOf(record, draft, options);
}

const wordsOf = (text: string): string =>
  text
    .split(/[^\p{Letter}\p{Number}]+/u)
    .map(plainText)
    .filter((word) => word !== "")
    .join(" ");

/** One with a known id, or with the same dates and kind, takes the old one's place. */
function putTimeOff(person: Person, stated: Omit<TimeOff, "id">, id: string | null, newId: string, draft: Draft): RowOutcome {
  const entries = person.timeOff ?? [];
  const at = entries.findIndex((entry) =>
    id === null ? entry.from === stated.from && entry.to === stated.to && entry.kind === stated.kind : entry.id === id,
  );
  const before = entries[at];
  const { reason, suggested } = before ?? {};
  const after: TimeOff = {
    id: before?.id ?? id ?? newId,
    ...stated,
    ...(reason !== undefined && { reason }),
    ...(suggested && { suggested }),
  };
  if (before && textOf(before) === textOf(after)) return { outcome: "leaves", about: person.name, says: [] };
  draft.put("people", { ...person, timeOff: before ? entries.with(at, after) : [...entries, after] });
  return before
    ? { outcome: "changes", about: person.name, says: [`${textOf(before)} → ${textOf(after)}`] }
    : { outcome: "adds", about: person.name, says: [textOf(after)] };
}

function textOf({ from, to, hoursPerDay, kind, state, note }: Omit<TimeOff, "id">): string {
  return `${kind} ${from} to ${to}${hoursPerDay === undefined ? "" : `, ${hoursPerDay} h a day`}, ${state}${note ? `, “${note}”` : ""}`;
}
