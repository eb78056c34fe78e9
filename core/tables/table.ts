// Tables as people keep them in spreadsheets: what a kind of table consists of, and what bringing one in results in.

import type { Fault } from "../plan/faults.ts";
import type { ImportedList, ListName } from "../plan/lists.ts";
import type { Seen } from "../plan/moneySides.ts";
import type { Person, Plan, Row } from "../plan/schema.ts";

/** A cell as text; empty for nothing. */
export type Cell = string;

export interface TableColumn {
  key: string;
  /** Its header on export. */
  name: string;
  /** A row without it is refused. */
  isNeeded?: boolean;
  /** Read on import and left out of exports, because another table exports it. */
  isOnlyRead?: boolean;
  /** Other headers that mean it, in small letters without accents or signs. */
  aliases: readonly string[];
}

/** The order of dates with slashes: 3/2/2027 is the third of February, or the second of March. */
export type DateOrder = "dayFirst" | "monthFirst";

/** The cells of one row, by column key; a column that the file does not have is missing. */
export type TableRecord = Readonly<Record<string, Cell | undefined>>;

/** Lists whose rows a file names. */
export const namedLists = [
  "roles",
  "skills",
  "clients",
  "people",
  "calendars",
  "projects",
  "teams",
  "materials",
  "rateTables",
] as const satisfies readonly ListName[];
export type NamedList = (typeof namedLists)[number];

/** Lists of names that an import can add to. */
export const madeLists = ["roles", "skills", "clients"] as const satisfies readonly NamedList[];
export type MadeList = (typeof madeLists)[number];

/** Chosen for a text that is to become a new row. */
export const NEW_ROW = "+";

/** The meanings of texts of a file that the plan does not know: by list and text in `plainText`, the id of a row or `NEW_ROW`. */
export type ChosenValues = Readonly<Partial<Record<NamedList, Readonly<Record<string, string>>>>>;

/** The options for reading cells, and the values for columns that are missing. */
export interface ReadOptions {
  dateOrder: DateOrder;
  /** A day without a year is the first such day from this one on; the first day of the plan where it is left out. */
  earliest?: string;
  /** Begins the ids of what is added; unique to one import. */
  idStem: string;
  /** Roles, skills and clients that rows name and the plan does not have are made. */
  makesNames?: boolean;
  /** Id of the person or calendar all rows are about, where no column says so; of one row, also the expense that was chosen for a
   * booking, or "" for none. */
  subjectId?: string;
  /** Id of the calendar that takes rows of leave that name nobody as its days. */
  restCalendarId?: string;
  values?: ChosenValues;
}

/** The plan as the rows before have left it. */
export interface Draft {
  plan: Plan;
  /** The present row of a list. */
  find<L extends ImportedList>(list: L, id: string): Row<L> | undefined;
  /** Every present row of a list. */
  all<L extends ImportedList>(list: L): Row<L>[];
  put<L extends ImportedList>(list: L, row: Row<L>): void;
  /** The choice for a text: the id of a row, or `NEW_ROW`. */
  chosenFor(list: NamedList, text: string): string | undefined;
  /** Notes a text that no row of a list has as its name. */
  addUnknown(list: NamedList, text: string): void;
  /** Everyone with a name or an e-mail address, written alike. */
  peopleBy(key: "name" | "email", text: string): Person[];
}

/** The outcome of a row: its subject and its changes; or why it is refused. */
export type RowOutcome =
  | {
      outcome: "adds" | "changes" | "leaves" | "leftOut";
      about: string;
      says: string[];
      /** Of a booking: the planned expense it was matched with; null for none. */
      expenseId?: string | null;
    }
  | { outcome: "refuses"; about: string; reasons: string[]; namesNobody?: true };

/** A row of the file with its place in it. */
export interface FileRow {
  record: TableRecord;
  options: ReadOptions;
  /** Number of the row in the file, from 1 on. */
  line: number;
  /** Position of the row that names the columns. */
  header: number;
}

/** The further changes of a row, or why it is refused after all. */
export interface Finished {
  says: string[];
  reasons: string[];
}

/** One kind of table. */
export interface TableKind {
  name: TableName;
  title: string;
  columns: readonly TableColumn[];
  /** The subject of all rows, if no column states it. */
  subject?: "people" | "calendars";
  /** Key of the column whose text may name the person, where no column is for people. */
  subjectIn?: string;
  /** The plan's rows of it, a cell a column. */
  rows(plan: Seen<Plan>): Cell[][];
  /** Puts one row into the draft, or says why not. `line` is its number in the file. */
  take(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome;
  /** Called for each row that was put, once all rows are in the draft: what refers to other rows of the file. */
  finish?(row: FileRow, draft: Draft): Finished;
}

export const tableNames = [
  "people",
  "patterns",
  "timeOff",
  "skills",
  "holidays",
  "projects",
  "tasks",
  "links",
  "assignments",
  "expenses",
  "bookings",
  "rates",
  "exchangeRates",
] as const;
export type TableName = (typeof tableNames)[number];

/** The headers of an exported table. */
export const writtenHeaders = ({ columns }: TableKind): Cell[] => columns.flatMap(({ name, isOnlyRead }) => (isOnlyRead ? [] : [name]));

/** Faults as reasons, each with its place where that says more. */
export function reasonsOf(faults: readonly Fault[]): string[] {
  return faults.map(({ place, message }) => {
    const key = place.split(".").at(-1) ?? "";
    return key === "" || /\[\d+\]$/.test(key) ? message : `${key}: ${message}`;
  });
}

export const refused = (about: string, ...reasons: string[]): Extract<RowOutcome, { outcome: "refuses" }> => ({
  outcome: "refuses",
  about,
  reasons,
});
