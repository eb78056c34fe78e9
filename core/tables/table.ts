// Tables as people keep them in spreadsheets: what a kind of table consists of, and what bringing one in comes to.
import type { Fault } from "../plan/faults.ts";
import type { ListName } from "../plan/lists.ts";
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

/** How dates with slashes are written: 3/2/2027 is the third of February, or the second of March. */
export type DateOrder = "dayFirst" | "monthFirst";

/** What one row says, by column key; a column that the file does not have is missing. */
export type TableRecord = Readonly<Record<string, Cell | undefined>>;

/** How cells are to be read, and what stands in for a column that is not there. */
export interface ReadOptions {
  dateOrder: DateOrder;
  /** A day without a year is the first such day from this one on; the first day of the plan where it is left out. */
  earliest?: string;
  /** Begins the ids of what is added; unique to one import. */
  idStem: string;
  /** Roles, skills and clients that rows name and the plan does not have are made. */
  makesNames?: boolean;
  /** Id of the person or calendar all rows are about, where no column says so. */
  subjectId?: string;
}

/** The plan as the rows before have left it. */
export interface Draft {
  plan: Plan;
  /** The row of a list as it stands now. */
  find<L extends ListName>(list: L, id: string): Row<L> | undefined;
  /** Every row of a list as it stands now. */
  all<L extends ListName>(list: L): Row<L>[];
  put<L extends ListName>(list: L, row: Row<L>): void;
  /** Everybody with a name or an e-mail address, written alike. */
  peopleBy(key: "name" | "email", text: string): Person[];
}

/** What a row comes to: what it is about, what it changes; or why it is refused. */
export type RowOutcome =
  | { outcome: "adds" | "changes" | "leaves" | "leftOut"; about: string; says: string[] }
  | { outcome: "refuses"; about: string; reasons: string[] };

/** One kind of table. */
export interface TableKind {
  name: TableName;
  title: string;
  columns: readonly TableColumn[];
  /** What all rows can be about, where no column says so. */
  subject?: "people" | "calendars";
  /** The plan's rows of it, a cell a column. */
  rows(plan: Plan): Cell[][];
  /** Puts one row into the draft, or says why not. `line` is its number in the file. */
  take(record: TableRecord, draft: Draft, options: ReadOptions, line: number): RowOutcome;
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
  "rates",
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

export const refused = (about: string, ...reasons: string[]): RowOutcome => ({ outcome: "refuses", about, reasons });
