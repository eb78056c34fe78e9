// The person that a cell names: by id, by e-mail, or by a name that only one person has.
import type { Person } from "../plan/schema.ts";
import type { Read } from "./cells.ts";
import { chosenRow, namedRow } from "./namedRow.ts";
import type { Draft, ReadOptions, TableColumn, TableRecord } from "./table.ts";

export const personColumn: TableColumn = {
  key: "person",
  name: "Person",
  isNeeded: true,
  aliases: [
    "name",
    "employee",
    "who",
    "id",
    "email",
    "mitarbeiter",
    "mitarbeiterin",
    "pessoa",
    "nome",
    "inimene",
    "nimi",
    "personne",
    "nom",
    "persona",
    "nombre",
  ],
};

/** The person of a row: of its cell, else the one that all rows are about. */
export function personOf(record: TableRecord, draft: Draft, { subjectId }: ReadOptions): Read<Person> {
  const cell = record.person?.trim() ?? "";
  if (cell === "") {
    const subject = subjectId === undefined ? undefined : draft.find("people", subjectId);
    return subject ? { value: subject } : { reason: "The row names no person." };
  }
  const byId = draft.find("people", cell) ?? chosenRow(cell, "people", draft);
  if (byId) return { value: byId };
  const found = draft.peopleBy("email", cell);
  if (found.length === 1) return { value: found[0] };
  const called = draft.peopleBy("name", cell);
  if (called.length === 1) return { value: called[0] };
  if (called.length === 0) return namedRow(cell, "people", draft);
  draft.addUnknown("people", cell);
  return { reason: `${called.length} people are called "${cell}"; write the id.` };
}
