// The table of people: one row each, with roles, calendar, employment, place and kind.

import { schemaFaults } from "../plan/parse.ts";
import { findRow } from "../plan/rows.ts";
import { type Person, rowSchemas } from "../plan/schema.ts";
import { objectKeys } from "../values/objectKeys.ts";
import { type Read, textCell, wordCell } from "./cells.ts";
import { namedOrMade, namedRow } from "./namedRow.ts";
import { type Extras, extraColumns, withExtras } from "./personExtras.ts";
import { RowReading, rowRead } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";

export const peopleTable: TableKind = {
  name: "people",
  title: "People",
  columns: [
    { key: "id", name: "Id", aliases: ["personid", "number", "nummer", "personalnummer", "numero", "kood", "matricule"] },
    {
      key: "name",
      name: "Name",
      isNeeded: true,
      aliases: ["person", "fullname", "employee", "mitarbeiter", "mitarbeiterin", "nome", "nimi", "nom", "nombre", "vollername"],
    },
    { key: "email", name: "E-mail", aliases: ["email", "mail", "emailaddress", "correio", "epost", "courriel", "correo"] },
    {
      key: "roles",
      name: "Roles",
      aliases: [
        "role",
        "mainrole",
        "jobtitle",
        "job",
        "rolle",
        "rollen",
        "funktion",
        "funcao",
        "papel",
        "roll",
        "rollid",
        "fonction",
        "puesto",
      ],
    },
    { key: "calendar", name: "Calendar", aliases: ["kalender", "calendario", "calendrier", "workshop", "standortkalender"] },
    {
      key: "employedFrom",
      name: "Employed from",
      aliases: [
        "from",
        "start",
        "startdate",
        "hired",
        "eintritt",
        "eintrittsdatum",
        "inicio",
        "admissao",
        "algus",
        "debut",
        "entree",
        "alta",
      ],
    },
    {
      key: "employedTo",
      name: "Employed to",
      aliases: ["to", "until", "end", "enddate", "leaves", "austritt", "austrittsdatum", "fim", "saida", "lopp", "fin", "sortie", "baja"],
    },
    {
      key: "location",
      name: "Place",
      aliases: ["location", "site", "city", "ort", "standort", "local", "cidade", "koht", "linn", "lieu", "ville", "lugar"],
    },
    { key: "kind", name: "Kind", aliases: ["type", "contract", "art", "vertrag", "tipo", "liik", "contrat"] },
    ...extraColumns,
  ],
  rows: (plan) =>
    plan.people.map((person) => [
      person.id,
      person.name,
      person.email ?? "",
      person.roleIds.map((id) => findRow(plan.roles, id)?.name ?? id).join("; "),
      findRow(plan.calendars, person.calendarId)?.name ?? person.calendarId,
      person.employedFrom ?? "",
      person.employedTo ?? "",
      person.location ?? "",
      person.kind ?? "employee",
    ]),
  take: takePerson,
};

const kindWords = {
  employee: ["staff", "permanent", "angestellt", "angestellte", "empregado", "efetivo", "tootaja", "salarie", "empleado"],
  contractor: ["freelance", "freelancer", "external", "extern", "freiberuflich", "externo", "lepinguline", "independant", "autonomo"],
} as const;

function takePerson(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const name = textCell(record.name ?? "");
  const about = "value" in name && name.value !== "" ? name.value : (record.id ?? `line ${line}`);
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const known = knownPerson(record, draft);
  if ("reason" in known) return refused(about, known.reason);
  const before = known.value;
  const set: Partial<Record<keyof Person, unknown>> = {};
  const typed = reading.take(name);
  if (typed === "" && !before) reasons.push("The name is missing.");
  else if (typed) set.name = typed;
  for (const key of ["email", "location"] as const) reading.put(set, key, textCell);
  for (const key of ["employedFrom", "employedTo"] as const) reading.put(set, key, reading.date);
  if (record.roles?.trim()) set.roleIds = rolesOf(record.roles, draft, options, reasons);
  if (record.calendar?.trim()) set.calendarId = reading.take(namedRow(record.calendar, "calendars", draft))?.id;
  if (record.kind?.trim()) set.kind = reading.take(wordCell(record.kind, kindWords));
  const base: Person = before ?? {
    id: record.id?.trim() || `${options.idStem}-${line}`,
    name: "",
    roleIds: [],
    calendarId: draft.all("calendars")[0]?.id ?? "",
  };
  const extras = withExtras(reading, rowRead<Person>(base, set), before, draft, options);
  if (reasons.length > 0) return refused(about, ...reasons);
  const outcome = putPerson(before, extras, draft);
  if (outcome.outcome !== "refuses") for (const table of extras.tables) draft.put("rateTables", table);
  return outcome;
}

/** Puts a person who was read into the draft, where the plan's schema takes them. */
function putPerson(before: Person | undefined, { person: after, says: more }: Extras, draft: Draft): RowOutcome {
  const about = after.name;
  const checked = rowSchemas.people.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  if (after.employedFrom !== undefined && after.employedTo !== undefined && after.employedTo < after.employedFrom)
    return refused(about, `The last day ${after.employedTo} must not be before the first day ${after.employedFrom}.`);
  if (!before) {
    draft.put("people", after);
    return { outcome: "adds", about, says: [...statedOf(after, draft), ...more] };
  }
  const says = [...differencesOf(before, after, draft), ...more];
  if (says.length === 0) return { outcome: "leaves", about, says: [] };
  draft.put("people", after);
  return { outcome: "changes", about, says };
}

function knownPerson(record: TableRecord, draft: Draft): Read<Person | undefined> {
  const id = record.id?.trim() ?? "";
  if (id !== "") return { value: draft.find("people", id) };
  const byEmail = draft.peopleBy("email", record.email ?? "");
  if (byEmail.length === 1) return { value: byEmail[0] };
  const called = draft.peopleBy("name", record.name ?? "");
  if (called.length > 1) return { reason: `${called.length} people are called "${record.name?.trim()}"; write the id.` };
  return { value: called[0] };
}

function rolesOf(cell: string, draft: Draft, options: ReadOptions, reasons: string[]): string[] {
  return [
    ...new Set(
      cell
        .split(/[;,|/]/)
        .filter((part) => part.trim() !== "")
        .flatMap((part) => {
          const role = namedOrMade(part, "roles", draft, options);
          if ("value" in role) return [role.value.id];
          reasons.push(role.reason);
          return [];
        }),
    ),
  ];
}

const keyNames: Partial<Record<keyof Person, string>> = {
  name: "name",
  email: "e-mail",
  roleIds: "roles",
  calendarId: "calendar",
  employedFrom: "employed from",
  employedTo: "employed to",
  location: "place",
  kind: "kind",
};

/** The stated values of a new person, besides the name. */
function statedOf(person: Person, draft: Draft): string[] {
  const keys = objectKeys(keyNames).filter((key) => key !== "name");
  return keys.flatMap((key) => {
    const text = shown(key, person, draft);
    return text === "" ? [] : [`${keyNames[key]}: ${text}`];
  });
}

function differencesOf(before: Person, after: Person, draft: Draft): string[] {
  return objectKeys(keyNames).flatMap((key) => {
    const [was, is] = [before, after].map((person) => shown(key, person, draft));
    const isSame = was === is || (key === "kind" && (was || "employee") === (is || "employee"));
    return isSame ? [] : [`${keyNames[key]}: ${was || "nothing"} → ${is || "nothing"}`];
  });
}

function shown(key: keyof Person, person: Person, draft: Draft): string {
  const { roleIds, calendarId, [key]: value = "" } = person;
  if (key === "roleIds") return roleIds.map((id) => draft.find("roles", id)?.name ?? id).join("; ");
  return (key === "calendarId" && draft.find("calendars", calendarId)?.name) || String(value);
}
