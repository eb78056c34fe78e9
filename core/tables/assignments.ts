// The table of assignments: a row each, with who, how much, when and how firm.
import { schemaFaults } from "../plan/parse.ts";
import { findRow } from "../plan/rows.ts";
import { type Assignment, rowSchemas } from "../plan/schema.ts";
import { stated } from "../values/stated.ts";
import { numberCell, numberText, wordCell } from "./cells.ts";
import { personOf } from "./findPerson.ts";
import { taskOf } from "./findTask.ts";
import { namedOrMade, namedRow } from "./namedRow.ts";
import { RowReading } from "./rowReading.ts";
import { type Draft, type ReadOptions, type RowOutcome, reasonsOf, refused, type TableKind, type TableRecord } from "./table.ts";
import { typedHoursCell, typedHoursText } from "./typedHours.ts";

const statements = ["hours", "percent", "hoursPerDay", "hoursPerWeek"] as const;
const quantities = ["quantity", "quantityPerDay", "wastePercent"] as const;

export const assignmentsTable: TableKind = {
  name: "assignments",
  title: "Assignments",
  columns: [
    { key: "id", name: "Assignment id", aliases: ["id", "assignmentid"] },
    { key: "task", name: "Task", isNeeded: true, aliases: ["taskid", "aufgabe", "tarefa", "ulesanne", "tache"] },
    { key: "person", name: "Person", aliases: ["who", "resource", "mitarbeiter", "pessoa", "inimene", "personne"] },
    { key: "team", name: "Team", aliases: ["gruppe", "equipa", "meeskond", "equipe"] },
    { key: "role", name: "Role", aliases: ["rolle", "funcao", "roll", "fonction"] },
    { key: "hours", name: "Hours", aliases: ["stunden", "horas", "tunnid", "heures"] },
    { key: "percent", name: "% of time", aliases: ["percent", "prozent", "percentagem", "protsent"] },
    { key: "hoursPerDay", name: "Hours a day", aliases: ["hoursperday", "stundenprotag"] },
    { key: "hoursPerWeek", name: "Hours a week", aliases: ["hoursperweek", "stundenprowoche"] },
    { key: "from", name: "From", aliases: ["von", "ab", "de", "alates", "du"] },
    { key: "to", name: "Until", aliases: ["to", "bis", "ate", "kuni", "au"] },
    { key: "firmness", name: "Firmness", aliases: ["state", "status", "estado", "olek"] },
    { key: "typed", name: "Typed hours", aliases: ["typed", "custom", "byperiod"] },
    { key: "typedFrom", name: "Typed when the task began on", aliases: ["typedfrom", "customfrom"] },
    { key: "material", name: "Material", aliases: ["materialid", "materjal"] },
    { key: "quantity", name: "Quantity", aliases: ["menge", "quantidade", "kogus", "quantite", "amount"] },
    { key: "quantityPerDay", name: "Quantity a day", aliases: ["quantityperday", "mengeprotag"] },
    { key: "wastePercent", name: "Waste %", aliases: ["waste", "verschnitt", "wastepercent"] },
  ],
  rows: (plan) =>
    plan.assignments.map((own) => [
      own.id,
      own.taskId,
      own.personId ?? "",
      findRow(plan.teams, own.teamId)?.name ?? "",
      findRow(plan.roles, own.roleId)?.name ?? "",
      ...statements.map((key) => numberText(own[key])),
      own.from ?? "",
      own.to ?? "",
      own.firmness ?? "confirmed",
      typedHoursText(own.custom),
      own.customFrom ?? "",
      findRow(plan.materials, own.materialId)?.name ?? "",
      ...quantities.map((key) => numberText(own[key])),
    ]),
  take: takeAssignment,
};

const firmnessWords = {
  pencilled: ["tentative", "soft", "vorlaufig", "provisorio", "esialgne"],
  asked: ["requested", "angefragt", "pedido", "kusitud"],
  confirmed: ["firm", "hard", "bestatigt", "confirmado", "kinnitatud"],
} as const;

function takeAssignment(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome {
  const reading = new RowReading(record, options);
  const { reasons } = reading;
  const task = reading.take(taskOf(record.task ?? "", draft));
  const person = reading.cell("person", () => personOf(record, draft, options));
  const team = reading.cell("team", (cell) => namedRow(cell, "teams", draft));
  const role = reading.cell("role", (cell) => namedOrMade(cell, "roles", draft, options));
  const material = reading.cell("material", (cell) => namedRow(cell, "materials", draft));
  const about = `${task?.name ?? record.task ?? "?"} · ${person?.name ?? team?.name ?? material?.name ?? role?.name ?? "?"}`;
  const said: Partial<Assignment> = {};
  for (const key of [...statements, ...quantities]) said[key] = reading.cell(key, numberCell);
  said.custom = reading.cell("typed", (cell) => typedHoursCell(cell, options.dateOrder));
  said.customFrom = reading.cell("typedFrom", reading.date);
  for (const key of ["from", "to"] as const) said[key] = reading.cell(key, reading.date);
  said.firmness = reading.cell("firmness", (cell) => wordCell(cell, firmnessWords));
  if (reasons.length > 0 || !task) return refused(about, ...reasons);
  const id = reading.text("id")?.trim() ?? `${options.idStem}-${line}`;
  const before = draft.find("assignments", id);
  const kept = { ...(before?.shape !== undefined && { shape: before.shape }), ...(before?.accrual && { accrual: before.accrual }) };
  const of = { id, taskId: task.id, personId: person?.id, teamId: team?.id, materialId: material?.id, roleId: role?.id };
  const after = stated<Assignment>({ ...of, ...said, ...kept });
  const fault = faultOf(after, draft, before);
  if (fault) return refused(about, fault);
  const checked = rowSchemas.assignments.safeParse(after, { reportInput: true });
  if (!checked.success) return refused(about, ...reasonsOf(schemaFaults(checked.error.issues, after)));
  return put(before, after, about, draft);
}

/** The rules between rows that an import can break. */
function faultOf(own: Assignment, draft: Draft, before: Assignment | undefined): string | null {
  if (before && (before.materialId === undefined) !== (own.materialId === undefined))
    return before.materialId === undefined ? "This id belongs to work." : "This id belongs to a material.";
  if (own.materialId !== undefined) return materialFault(own);
  if (own.personId === undefined && own.teamId === undefined && own.roleId === undefined)
    return "Name a person, a team, or the role that is needed.";
  if (own.personId !== undefined && own.teamId !== undefined) return "Name a person or a team, not both.";
  const used = quantities.filter((key) => own[key] !== undefined);
  if (used.length > 0) return "Quantities and waste belong to a material.";
  if (own.customFrom !== undefined && own.custom === undefined) return "The row has the start for typed hours, but no typed hours.";
  const given = [...statements, "custom" as const].filter((key) => own[key] !== undefined);
  const isEffort = draft.find("tasks", own.taskId)?.sizing === "effort";
  if (isEffort && (own.hours === undefined || given.some((key) => key !== "hours" && key !== "percent")))
    return "A task sized by effort needs hours.";
  if (isEffort && (own.from !== undefined || own.to !== undefined || own.shape !== undefined))
    return "Work on a task sized by effort has no dates of its own.";
  if (given.length === 0) return "State how much: hours, a share of time, hours a day or a week, or typed hours.";
  if (!isEffort && given.length > 1)
    return `States ${given.map((key) => (key === "custom" ? "typed hours" : key)).join(" and ")}; keep one of them.`;
  if (own.from !== undefined && own.to !== undefined && own.to < own.from) return "The last day must be on or after the first day.";
  return draft.all("tasks").some(({ parentId }) => parentId === own.taskId) ? "A summary task cannot have people." : null;
}

function materialFault(own: Assignment): string | null {
  if (own.personId !== undefined || own.teamId !== undefined || own.roleId !== undefined) return "Name a material or who works, not both.";
  if ([...statements, "custom" as const].some((key) => own[key] !== undefined)) return "A material is planned by quantity, not by hours.";
  if (own.quantity === undefined && own.quantityPerDay === undefined) return "State how much of the material: a quantity, or one a day.";
  return own.quantity !== undefined && own.quantityPerDay !== undefined ? "State a quantity or one a day, not both." : null;
}

function put(before: Assignment | undefined, after: Assignment, about: string, draft: Draft): RowOutcome {
  const text = (own: Assignment) =>
    [
      ...[...statements, ...quantities].flatMap((key) => (own[key] === undefined ? [] : [`${key} ${own[key]}`])),
      own.custom === undefined ? "" : `typed ${typedHoursText(own.custom)}`,
      own.customFrom === undefined ? "" : `since the task began on ${own.customFrom}`,
      own.from ?? "",
      own.to ?? "",
      own.firmness ?? "confirmed",
      own.personId ?? own.teamId ?? own.materialId ?? own.roleId,
    ]
      .filter(Boolean)
      .join(", ");
  if (before && before.taskId === after.taskId && before.roleId === after.roleId && text(before) === text(after))
    return { outcome: "leaves", about, says: [] };
  draft.put("assignments", after);
  return before
    ? { outcome: "changes", about, says: [`${text(before)} → ${text(after)}`] }
    : { outcome: "adds", about, says: [text(after)] };
}
