"use client";
// Binds the import to the plan: a file read into rows, how its columns are taken, the preview, and the one edit.
import { useEffect, useState } from "react";
import { toast } from "sonner";
import { post } from "../../../client/post.ts";
import { useHostState, usePlan } from "../../../client/session.tsx";
import { guessTable, headerOf, type Preview, type PreviewQuery, tableKinds } from "../../../core/tables/preview.ts";
import type { DateOrder, TableName } from "../../../core/tables/table.ts";
import { countText } from "../../../ui/format.ts";
import { newId } from "../../../ui/newId.ts";
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
  subjectId: string;
}

export function useBringIn() {
  const session = usePlan();
  const version = useHostState()?.version ?? 0;
  const [read, setRead] = useState<Read | null>(null);
  const [ways, setWays] = useState<Ways>({
    sheet: 0,
    header: null,
    takes: {},
    makesNames: false,
    table: "people",
    mapping: null,
    dateOrder: "dayFirst",
    subjectId: "",
  });
  const [fault, setFault] = useState<string | null>(null);
  const [isReading, setReading] = useState(false);
  const [preview, setPreview] = useState<Preview | null>(null);

  useEffect(() => {
    if (!read || version === 0 || !session.worker) return;
    let isStale = false;
    const asked = session.worker.ask("importPreview", queryOf(read, ways)) as unknown as Promise<{ data: Preview }>;
    asked.then(({ data }) => {
      if (!isStale) setPreview(data);
    });
    return () => {
      isStale = true;
    };
  }, [session, read, ways, version]);

  const open = async (file: File) => {
    setFault(null);
    setReading(true);
    setPreview(null);
    try {
      const response = await post(`/api/tables?name=${encodeURIComponent(file.name)}`, { body: file, type: "application/octet-stream" });
      const answer = await response.json();
      if (!response.ok) throw new Error(answer.message);
      const sheets = answer.tables as Sheet[];
      setRead({ fileName: file.name, sheets, note: answer.note, idStem: newId("import") });
      setWays((known) => ({ ...known, ...startOf(sheets, 0) }));
    } catch (error) {
      setRead(null);
      setFault(error instanceof TypeError ? "The file could not be sent. Is the server running?" : (error as Error).message);
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
    toast(`${countText(adds + changes, "row")} imported from ${read?.fileName}. One undo takes them all back.`);
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

export type BringInHook = ReturnType<typeof useBringIn>;

function startOf(sheets: readonly Sheet[], sheet: number): Omit<Ways, "dateOrder" | "makesNames"> {
  const named = Object.values(tableKinds).find(({ title }) => title === sheets[sheet].name)?.name;
  const { rows } = sheets[sheet];
  const header = headerOf(rows, named);
  return { sheet, header: null, takes: {}, table: named ?? guessTable(rows[header] ?? []), mapping: null, subjectId: "" };
}

function queryOf(
  { fileName, sheets, idStem }: Read,
  { sheet, header, takes, makesNames, table, mapping, dateOrder, subjectId }: Ways,
): PreviewQuery {
  return {
    table,
    source: fileName,
    rows: sheets[sheet].rows,
    takes,
    ...(header !== null && { header }),
    ...(mapping && { mapping }),
    options: { dateOrder, idStem, makesNames, ...(subjectId !== "" && { subjectId }) },
  };
}

/** Saves the refused rows with their reasons, headers and what stands between cells as they were, so that they can be
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
