// The preview of an import, row by row, before anything is written; and the one edit that does it.
import type { EditOf } from "../edits/edit.ts";
import { type ImportedList, importedLists } from "../plan/lists.ts";
import { listWords } from "../plan/listWords.ts";
import { findRow, rowById, rowsOf } from "../plan/rows.ts";
import type { Person, Plan, Row } from "../plan/schema.ts";
import { objectKeys, recordOf } from "../values/objectKeys.ts";
import { plainText } from "../values/plainText.ts";
import { assignmentsTable } from "./assignments.ts";
import { bookingsTable } from "./bookings.ts";
import { exchangeRatesTable } from "./exchangeRates.ts";
import { expensesTable } from "./expenses.ts";
import { findHeader, fitShare, isSumRow, matchHeaders } from "./headers.ts";
import { holidaysTable } from "./holidays.ts";
import { linksTable } from "./links.ts";
import { isMadeList } from "./namedRow.ts";
import { patternsTable } from "./patterns.ts";
import { peopleTable } from "./people.ts";
import { madeTables } from "./personExtras.ts";
import { personSkillsTable } from "./personSkills.ts";
import { projectsTable } from "./projects.ts";
import { ratesTable } from "./rates.ts";
import {
  type Cell,
  type ChosenValues,
  type Draft,
  madeLists,
  type NamedList,
  namedLists,
  type ReadOptions,
  type RowOutcome,
  refused,
  type TableKind,
  type TableName,
} from "./table.ts";
import { tasksTable } from "./tasks.ts";
import { timeOffTable } from "./timeOff.ts";

export const tableKinds: Record<TableName, TableKind> = {
  people: peopleTable,
  patterns: patternsTable,
  timeOff: timeOffTable,
  skills: personSkillsTable,
  holidays: holidaysTable,
  projects: projectsTable,
  tasks: tasksTable,
  links: linksTable,
  assignments: assignmentsTable,
  expenses: expensesTable,
  bookings: bookingsTable,
  rates: ratesTable,
  exchangeRates: exchangeRatesTable,
};

/** The kind of table that a header looks most like. */
export function guessTable(header: readonly string[]): TableName {
  const fits = Object.values(tableKinds).map((kind) => ({ name: kind.name, fit: fitShare(kind, header) }));
  return fits.reduce((best, own) => (own.fit > best.fit ? own : best)).name;
}

/** The row of a file that its columns are named in: of the table it is taken as, or of any. */
export function headerOf(rows: readonly (readonly string[])[], table?: TableName): number {
  const kinds = table === undefined ? Object.values(tableKinds) : [tableKinds[table]];
  return findHeader(kinds, rows);
}

export interface PreviewQuery {
  table: TableName;
  /** Name of the file, for the trail. */
  source: string;
  /** The rows of the file. */
  rows: readonly (readonly Cell[])[];
  /** Position of the row that names the columns; found where it is left out. What is above it is passed over. */
  header?: number;
  /** Lines that are taken or left out no matter what they look like. */
  takes?: Readonly<Record<number, boolean>>;
  /** Ids of what single lines are about: the person, or the expense of a booking ("" for none). */
  subjects?: Readonly<Record<number, string>>;
  /** For each column of the table the position of its cell in a row; found by the header where it is left out. */
  mapping?: readonly (number | null)[];
  options: ReadOptions;
}

/** One row of the file with what it results in. */
export type PreviewRow = RowOutcome & {
  /** Number of the row in the file, from 1 on. */
  line: number;
};

/** A text of the file that names a row the plan does not have. */
export interface UnknownText {
  list: NamedList;
  text: string;
  /** How often it is read. */
  count: number;
  /** The choice made for it: the id of a row, or `NEW_ROW`; null for none yet. */
  chosen: string | null;
  /** True where a row can be made by this name. */
  canBeMade: boolean;
}

export interface Preview {
  /** Position of the row that names the columns. */
  header: number;
  mapping: (number | null)[];
  /** Headers whose column was left out, because its cells would have every row refused. */
  passedOver: string[];
  /** The reasons why no row can be read: missing columns. */
  faults: string[];
  rows: PreviewRow[];
  counts: Record<RowOutcome["outcome"], number>;
  /** The rows that would be added because they are named, such as a role. */
  makes: string[];
  /** Texts that no row of the plan has as its name, in the order of the lists and the file. */
  unknown: UnknownText[];
  /** The edit that writes the rows that are not refused; null if nothing would change. */
  edit: EditOf<"importRows"> | null;
}

/** Reads every row against the plan and against the rows before it. Rows without any text are passed over. */
export function previewTable(plan: Plan, query: PreviewQuery): Preview {
  const { table, source, rows, mapping } = query;
  const options = { earliest: plan.settings.planStart, ...query.options };
  const kind = tableKinds[table];
  const header = query.header ?? headerOf(rows, table);
  const matched = matchHeaders(kind.columns, rows[header] ?? []);
  const columns = mapping ? [...mapping] : withoutRefusing(plan, { ...query, header }, matched);
  const passedOver = mapping ? [] : matched.flatMap((at) => (at === null || columns.includes(at) ? [] : [rows[header][at]]));
  const counts: Preview["counts"] = { adds: 0, changes: 0, leaves: 0, refuses: 0, leftOut: 0 };
  const faults = missingColumns(kind, columns, options);
  if (faults.length > 0) return { header, mapping: columns, passedOver, faults, rows: [], counts, makes: [], unknown: [], edit: null };
  const reading = { query, kind, options, header, columns };
  let pass = readRows(plan, reading, new Map());
  // A row that turns out wrong once all rows are known is refused from the start, and others may refer to it: read again.
  while (pass.late.size > 0) pass = readRows(plan, reading, pass.late);
  const { draft, rows: outcomes } = pass;
  for (const { outcome } of outcomes) counts[outcome]++;
  const changed = draft.changed();
  return {
    header,
    mapping: columns,
    passedOver,
    faults,
    rows: outcomes,
    counts,
    makes: draft.made(),
    unknown: draft.unknown(),
    edit: changed.length > 0 ? { kind: "importRows", source, rows: changed } : null,
  };
}

interface Reading {
  query: PreviewQuery;
  kind: TableKind;
  options: ReadOptions;
  header: number;
  columns: readonly (number | null)[];
}

/** Puts the rows into a draft one after the other.
 * @param refusals Reasons for lines that an earlier pass found wrong.
 * @returns `late` has those lines and newly found ones; empty where none is new. */
function readRows(
  plan: Plan,
  { query: { rows, takes = {}, subjects = {} }, kind, options, header, columns }: Reading,
  refusals: ReadonlyMap<number, string[]>,
): { draft: PlanDraft; rows: PreviewRow[]; late: ReadonlyMap<number, string[]> } {
  const draft = new PlanDraft(plan, options.values);
  const seen = new Map<string, number>();
  const idAt = kind.columns[0].key === "id" ? columns[0] : null;
  const optionsOf = (line: number) => (subjects[line] === undefined ? options : { ...options, subjectId: subjects[line] });
  const outcomes = rows.flatMap((cells, at): PreviewRow[] => {
    if (at <= header || cells.every((cell) => cell.trim() === "")) return [];
    const line = at + 1;
    if (!(takes[line] ?? !isSumRow(cells)))
      return [{ outcome: "leftOut", about: cells.find((cell) => cell.trim() !== "") ?? "", says: [], line }];
    const late = refusals.get(line);
    const id = idAt === null ? "" : (cells[idAt] ?? "").trim();
    if (late) return [{ ...refused(id || `line ${line}`, ...late), line }];
    const earlier = id === "" ? undefined : seen.get(id);
    if (earlier !== undefined) return [{ ...refused(id, `The id "${id}" is already used in line ${earlier}.`), line }];
    if (id !== "") seen.set(id, line);
    return [{ ...kind.take(cellsByKey(kind, columns, cells), draft, optionsOf(line), line), line }];
  });
  const { finish } = kind;
  if (!finish) return { draft, rows: outcomes, late: new Map() };
  const late = new Map<number, string[]>();
  const finished = outcomes.map((row): PreviewRow => {
    if (row.outcome === "refuses" || row.outcome === "leftOut") return row;
    const record = cellsByKey(kind, columns, rows[row.line - 1]);
    const { says, reasons } = finish({ record, options: optionsOf(row.line), line: row.line, header }, draft);
    if (reasons.length > 0) late.set(row.line, reasons);
    if (says.length === 0) return row;
    return { ...row, outcome: row.outcome === "leaves" ? "changes" : row.outcome, says: [...row.says, ...says] };
  });
  return { draft, rows: finished, late: late.size > 0 ? new Map([...refusals, ...late]) : late };
}

/** Number of rows that are read to check the guess of a column. */
const MOST_TRIED = 30;

/** The columns that a header names, without the optional ones whose cells would have every row refused. A name that the plan does
 * not have is no reason to leave a column out, because it can be made; nor is a person who can still be chosen. */
function withoutRefusing(plan: Plan, query: PreviewQuery & { header: number }, matched: (number | null)[]): (number | null)[] {
  const { table, rows, header, options } = query;
  const { columns } = tableKinds[table];
  const tried = rows.slice(0, header + 1 + MOST_TRIED);
  const refusesAll = (mapping: (number | null)[]) => {
    const asked = { ...query, rows: tried, mapping, options: { ...options, makesNames: true } };
    const { counts, faults, rows: read } = previewTable(plan, asked);
    const isAskedFor = read.some((row) => row.outcome === "refuses" && row.namesNobody);
    return faults.length === 0 && counts.refuses > 1 && !isAskedFor && counts.adds + counts.changes + counts.leaves === 0;
  };
  if (!refusesAll(matched)) return matched;
  const needed = matched.map((at, column) => (columns[column].isNeeded || columns[column].key === "id" ? at : null));
  // If rows are refused for their needed columns alone, leaving others out does not help.
  if (refusesAll(needed)) return matched;
  return matched.map((at, column) => (at === null || needed[column] !== null || !refusesAll(needed.with(column, at)) ? at : null));
}

function cellsByKey({ columns }: TableKind, mapping: readonly (number | null)[], cells: readonly Cell[]): Record<string, Cell | undefined> {
  const cellAt = (at: number | null) => (at === null ? undefined : (cells[at] ?? ""));
  return Object.fromEntries(columns.map(({ key }, at) => [key, cellAt(mapping[at])]));
}

function missingColumns(
  { columns, subject, subjectIn }: TableKind,
  mapping: readonly (number | null)[],
  { subjectId }: ReadOptions,
): string[] {
  const isSubjectElsewhere = subjectId !== undefined || columns.some(({ key }, at) => key === subjectIn && mapping[at] !== null);
  return columns.flatMap(({ name, key, isNeeded }, at) => {
    const isSubject = subject !== undefined && at === 0;
    if (!isNeeded || mapping[at] !== null || (isSubject && isSubjectElsewhere)) return [];
    return [`No column of the file is chosen for "${name}". Choose one${isSubject ? `, or the ${key} that all rows belong to` : ""}.`];
  });
}

/** A plan with the rows read so far on top. */
class PlanDraft implements Draft {
  readonly #put: { [L in ImportedList]: Map<string, Row<L>> } = recordOf(importedLists, () => new Map());
  // People are listed once a row of the file; the list is made again only after one has changed.
  readonly #all: { [L in ImportedList]: { rows: Row<L>[] | null } } = recordOf(importedLists, () => ({ rows: null }));

  /** People ids by name and by e-mail, as `plainText` writes them. */
  readonly #ids = { name: new Map<string, Set<string>>(), email: new Map<string, Set<string>>() };

  readonly #unknown = recordOf(namedLists, () => new Map<string, { text: string; count: number }>());

  constructor(
    readonly plan: Plan,
    readonly values: ChosenValues = {},
  ) {
    for (const person of plan.people) this.#index(person);
  }

  #index(person: Person): void {
    for (const key of ["name", "email"] as const) {
      const text = plainText(person[key] ?? "");
      const ids = this.#ids[key].get(text);
      if (ids) ids.add(person.id);
      else this.#ids[key].set(text, new Set([person.id]));
    }
  }

  peopleBy(key: "name" | "email", text: string): Person[] {
    const said = plainText(text);
    if (said === "") return [];
    const ids = [...(this.#ids[key].get(said) ?? [])];
    // A name that a row before has changed is still indexed.
    return ids.flatMap((id) => this.find("people", id) ?? []).filter((person) => plainText(person[key] ?? "") === said);
  }

  chosenFor(list: NamedList, text: string): string | undefined {
    return this.values[list]?.[plainText(text)];
  }

  addUnknown(list: NamedList, text: string): void {
    const key = plainText(text);
    if (key === "") return;
    const known = this.#unknown[list].get(key);
    if (known) known.count++;
    else this.#unknown[list].set(key, { text: text.trim(), count: 1 });
  }

  unknown(): UnknownText[] {
    return namedLists.flatMap((list) =>
      [...this.#unknown[list].values()].map((own) => ({
        list,
        ...own,
        chosen: this.chosenFor(list, own.text) ?? null,
        canBeMade: isMadeList(list),
      })),
    );
  }

  find<L extends ImportedList>(list: L, id: string): Row<L> | undefined {
    return this.#put[list].get(id) ?? findRow(rowsOf(this.plan, list), id);
  }

  all<L extends ImportedList>(list: L): Row<L>[] {
    const all = this.#all[list];
    all.rows ??= [...rowsOf(this.plan, list)];
    return all.rows;
  }

  put<L extends ImportedList>(list: L, row: Row<L>): void {
    const put = this.#put[list];
    const all = this.all(list);
    const at = rowById(rowsOf(this.plan, list)).get(row.id) ?? (put.has(row.id) ? all.findIndex(({ id }) => id === row.id) : -1);
    if (at >= 0) all[at] = row;
    else all.push(row);
    put.set(row.id, row);
    const person = list === "people" && this.#put.people.get(row.id);
    if (person) this.#index(person);
  }

  /** The names in rows that the plan did not have, as "role Rigger". */
  made(): string[] {
    const names = madeLists.flatMap((list) => [...this.#put[list].values()].map(({ name }) => `${listWords[list]} ${name}`));
    return [...names, ...madeTables(this).map((name) => `${listWords.rateTables} ${name}`)];
  }

  changed(): EditOf<"importRows">["rows"] {
    return objectKeys(this.#put).flatMap((list) => [...this.#put[list].values()].map((row) => ({ list, row })));
  }
}
