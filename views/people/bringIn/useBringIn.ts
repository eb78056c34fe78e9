"use client";
// Binds the import to the plan: a file read into rows, how its columns are taken, the preview, and the one edit.
import { useEffect, useState } from "react";
import { toast } from "sonner";
import { post } from "../../../client/post.ts";
import { useHost, usePlan } from "../../../client/session.tsx";
import { guessTable, headerOf, type Preview, type PreviewQuery, tableKinds } from "../../../core/tables/preview.ts";
import type { ChosenValues, DateOrder, TableName } from "../../../core/tables/table.ts";
import { countText } from "../../../ui/format.ts";
import { newId } from "../../../ui/newId.ts";
import { kindOf } from "../../../ui/options.ts";
import { saveFile } from "../../../ui/saveFile.ts";

export interface Sheet {
  name: string;
  rows: string[][];
  delimiter?: string;
}

interface Read {
  fileName: string;
  sheets: Sheet[];
  note: string | null;
  idStem: string;
}

interface Ways {
  sheet: number;
  /** Position of the row that names the columns; null for the one that looks most like it. */
  header: number | null;
  /** Lines that are taken or left out by hand. */
  takes: Readonly<Record<number, boolean>>;
  makesNames: boolean;
  table: TableName;
  /** Null where the headers decide. */
  mapping: (number | null)[] | null;
  dateOrder: DateOrder;
  /** `people:id` or `calendars:id` of what rows are about that do not say it; "" for none. */
  subject: string;
  values: ChosenValues;
  /** Ids of what single lines are about: the person, or the expense of a booking ("" for none). */
  subjects: Readonly<Record<number, string>>;
}

const usualWays: Ways = {
  sheet: 0,
  header: null,
  takes: {},
  makesNames: false,
  table: "people",
  mapping: null,
  dateOrder: "dayFirst",
  subject: "",
  values: {},
  subjects: {},
};

export function useBringIn() {
  const session = usePlan();
  const [read, setRead] = useState<Read | null>(null);
  const [ways, setWays] = useState(usualWays);
  const [fault, setFault] = useState<string | null>(null);
  const [isReading, setReading] = useState(false);
  const [preview, setPreview] = usePreview(read, ways);
  const open = async (file: File) => {
    setFault(null);
    setReading(true);
    setPreview(null);
    try {
      const own = await readFile(file);
      setRead(own);
      setWays((known) => ({ ...known, ...startOf(own.sheets, 0) }));
    } catch (error) {
      setRead(null);
      setFault(faultOf(error));
    }
    setReading(false);
  };
  const close = () => {
    setRead(null);
    setPreview(null);
  };
  const bringIn = async () => {
    if (!preview?.edit) return;
    const { adds, changes, refuses } = preview.counts;
    const faults = await session.edit(preview.edit);
    if (faults.length > 0) return;
    toast(`${countText(adds + changes, "row")} imported from ${read?.fileName}. One undo reverts them all.`);
    // Rows that were refused stay in sight, to be saved and corrected.
    if (refuses === 0) close();
  };
  return {
    read,
    ways,
    setWays: (set: Partial<Ways>) => setWays((known) => ({ ...known, ...set })),
    chooseSheet: (sheet: number) => read && setWays((known) => ({ ...known, ...startOf(read.sheets, sheet) })),
    fault,
    isReading,
    preview,
    open,
    close,
    bringIn,
    saveRefused: () => read && preview && void saveRefused(read, ways, preview),
  };
}

/** The preview of the rows as they are read now, and again whenever the plan has changed. */
function usePreview(read: Read | null, ways: Ways) {
  const session = usePlan();
  const version = useHost((state) => state?.version ?? 0);
  const [preview, setPreview] = useState<Preview | null>(null);
  useEffect(() => {
    if (!read || version === 0) return;
    let isStale = false;
    void session.ask("importPreview", queryOf(read, ways)).then((found) => {
      if (!isStale) setPreview(found);
    });
    return () => {
      isStale = true;
    };
  }, [session, read, ways, version]);
  return [preview, setPreview] as const;
}

/** Has the server read a file into its sheets. @throws Error with what the server says of one that cannot be read. */
async function readFile(file: File): Promise<Read> {
  const response = await post(`/api/tables?name=${encodeURIComponent(file.name)}`, { body: file, type: "application/octet-stream" });
  const answer: { tables: Sheet[]; note: string | null; message?: string } = await response.json();
  if (!response.ok) throw new Error(answer.message);
  return { fileName: file.name, sheets: answer.tables, note: answer.note, idStem: newId("import") };
}

function faultOf(error: unknown): string {
  if (error instanceof TypeError || !(error instanceof Error)) return "The file could not be sent. Is the server running?";
  return error.message;
}

export type BringInHook = ReturnType<typeof useBringIn>;

function startOf(sheets: readonly Sheet[], sheet: number): Omit<Ways, "dateOrder" | "makesNames"> {
  const named = Object.values(tableKinds).find(({ title }) => title === sheets[sheet].name)?.name;
  const { rows } = sheets[sheet];
  const header = headerOf(rows, named);
  return {
    sheet,
    header: null,
    takes: {},
    table: named ?? guessTable(rows[header] ?? []),
    mapping: null,
    subject: "",
    values: {},
    subjects: {},
  };
}

function queryOf(
  { fileName, sheets, idStem }: Read,
  { sheet, header, takes, makesNames, table, mapping, dateOrder, subject, values, subjects }: Ways,
): PreviewQuery {
  const { kind, id } = kindOf(subject);
  const isRest = kind === "calendars" && tableKinds[table].subject === "people";
  return {
    table,
    source: fileName,
    rows: sheets[sheet].rows,
    takes,
    subjects,
    ...(header !== null && { header }),
    ...(mapping && { mapping }),
    options: { dateOrder, idStem, makesNames, values, ...(subject !== "" && (isRest ? { restCalendarId: id } : { subjectId: id })) },
  };
}

/** Saves the refused rows with their reasons, headers and what is between cells as they were, so that they can be
 * corrected and imported again. */
async function saveRefused({ fileName, sheets }: Read, { sheet }: Ways, { rows, header: headerAt }: Preview): Promise<void> {
  const { rows: lines, delimiter } = sheets[sheet];
  const header = lines[headerAt];
  const refused = rows.flatMap((row) =>
    row.outcome === "refuses" ? [[...padded(lines[row.line - 1], header.length), row.reasons.join(" ")]] : [],
  );
  const response = await post("/api/tables/csv", {
    body: JSON.stringify({ rows: [[...header, "Why it was refused"], ...refused], ...(delimiter && { delimiter }) }),
  });
  saveFile(await response.blob(), `${fileName.replace(/\.\w+$/, "")}-refused.csv`);
}

const padded = (cells: readonly string[], count: number) => Array.from({ length: count }, (_, at) => cells[at] ?? "");
