// The table of projects: a row each, with client, lead, stage, dates and money; their tasks have a table of their own.

import { schemaFaults } from "../plan/parse.ts";
import { findRow } from "../plan/rows.ts";
import { type Project, rowSchemas } from "../plan/schema.ts";
import { objectKeys } from "../values/objectKeys.ts";
import { numberCell, numberText, textCell, wordCell } from "./cells.ts";
import { projectOf } from "./findTask.ts";
import { namedOrMade, namedRow } from "./namedRow.ts";
import { RowReading, type RowSet, rowRead } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";

export const projectsTable: TableKind = {
  name: "projects",
  title: "Projects",
  columns: [
    { key: "id", name: "Project id", aliases: ["id", "projectid"] },
    { key: "name", name: "Project", isNeeded: true, aliases: ["projectname", "name", "projekt", "projeto", "projet", "proyecto"] },
    { key: "code", name: "Code", aliases: ["projectcode", "number", "nummer", "codigo", "kood"] },
    { key: "client", name: "Client", aliases: ["customer", "kunde", "cliente", "klient"] },
    { key: "category", name: "Category", aliases: ["kategorie", "categoria", "liik", "categorie"] },
    { key: "lead", name: "Lead", aliases: ["manager", "projectmanager", "leitung", "projektleitung", "responsavel", "juht", "chef"] },
    { key: "calendar", name: "Calendar", aliases: ["kalender", "calendario", "calendrier"] },
    { key: "stage", name: "Stage", aliases: ["state", "status", "phase", "estado", "olek", "etat"] },
    { key: "probability", name: "Probability, %", aliases: ["probability", "chance", "wahrscheinlichkeit", "probabilidade"] },
    { key: "priority", name: "Priority", aliases: ["prioritat", "prioridade", "prioriteet", "priorite"] },
    { key: "start", name: "Start", isNeeded: true, aliases: ["begin", "startdate", "beginn", "inicio", "algus", "debut"] },
    { key: "deadline", name: "Deadline", aliases: ["due", "duedate", "end", "ende", "frist", "prazo", "tahtaeg", "echeance"] },
    { key: "budget", name: "Budget", aliases: ["budgetkosten", "orcamento", "eelarve"] },
  ],
  rows: (plan) =>
    plan.projects.map((project) => [
      project.id,
      project.name,
      project.code ?? "",
      findRow(plan.clients, project.clientId)?.name ?? "",
      project.category ?? "",
      findRow(plan.people, project.leadId)?.name ?? "",
      findRow(plan.calendars, project.calendarId)?.name ?? project.calendarId,
      project.stage,
      numberText(project.probability),
      numberText(project.priority),
      project.start,
      project.deadline ?? "",
      numberText(project.budget),
    ]),
  take: takeProject,
};

const stageWords = {
  idea: ["draft", "idee", "ideia", "mote"],
  pipeline: ["enquiry", "offer", "tender", "anfrage", "angebot", "proposta", "pakkumine"],
  approved: ["confirmed", "won", "beauftragt", "genehmigt", "aprovado", "kinnitatud"],
  active: ["running", "underway", "open", "laufend", "aktiv", "ativo", "kaimas", "encours"],
  done: ["finished", "closed", "completed", "fertig", "abgeschlossen", "concluido", "valmis", "termine"],
  cancelled: ["canceled", "lost", "abgesagt", "cancelado", "tuhistatud", "annule"],
} as const;

function takeProject(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const name = textCell(record.name ?? "");
  const about = "value" in name && name.value !== "" ? name.value : `line ${line}`;
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const before = knownProject(record, draft);
  const set: RowSet<Project> = { name: reading.take(name) };
  const idOf = ({ id }: { id: string }) => id;
  for (const key of ["code", "category"] as const) reading.put(set, key, textCell);
  for (const key of ["start", "deadline"] as const) reading.put(set, key, reading.date);
  for (const key of ["probability", "priority", "budget"] as const) reading.put(set, key, numberCell);
  reading.put(set, "clientId", (cell) => namedOrMade(cell, "clients", draft, options), "client", idOf);
  reading.put(set, "leadId", (cell) => namedRow(cell, "people", draft), "lead", idOf);
  if (reading.text("calendar") !== null) reading.put(set, "calendarId", (cell) => namedRow(cell, "calendars", draft), "calendar", idOf);
  if (reading.text("stage") !== null) reading.put(set, "stage", (cell) => wordCell(cell, stageWords));
  if (set.name === "") reasons.push("The project has no name.");
  if (set.start === undefined && reasons.length === 0) reasons.push("The project has no start.");
  if (reasons.length > 0) return refused(about, ...reasons);
  const base = before ?? {
    id: record.id?.trim() || `${options.idStem}-${line}`,
    calendarId: draft.all("calendars")[0]?.id ?? "",
    stage: "approved",
  };
  return putProject(before, rowRead<Project>(base, set), draft);
}

/** By its id; where the file states none, by its code or its name. */
function knownProject(record: TableRecord, draft: Draft): Project | undefined {
  const id = record.id?.trim() ?? "";
  if (id !== "") return draft.find("projects", id);
  for (const text of [record.code, record.name]) {
    const found = text?.trim() ? projectOf(text, draft) : null;
    if (found && "value" in found) return found.value;
  }
  return undefined;
}

function putProject(before: Project | undefined, after: Project, draft: Draft): RowOutcome {
  const about = after.name;
  const checked = rowSchemas.projects.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  if (after.deadline !== undefined && after.deadline < after.start) return refused(about, "The deadline must not be before the start.");
  if (!before) {
    draft.put("projects", after);
    return { outcome: "adds", about, says: [`starts ${after.start}`, after.stage] };
  }
  const says = objectKeys({ ...before, ...after }).flatMap((key) =>
    JSON.stringify(before[key]) === JSON.stringify(after[key]) ? [] : [`${key}: ${before[key] ?? "nothing"} → ${after[key] ?? "nothing"}`],
  );
  if (says.length === 0) return { outcome: "leaves", about, says };
  draft.put("projects", after);
  return { outcome: "changes", about, says };
}
