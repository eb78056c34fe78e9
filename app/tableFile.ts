// A table as a file, over the window that an address states.
import "server-only";
import { currentDay } from "../client/clock.ts";
import type { AnswerOf, QueryOf, Question } from "../client/questions.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../core/calendar/horizon.ts";
import type { Range } from "../core/calendar/periods.ts";
import { writeCsv } from "../interchange/csv.ts";
import { type TimeWindow, windowFrom } from "../ui/timeWindow.ts";
import { CSV_TYPE, download, downloadWorkbook } from "./files.ts";
import { BUILT_IN_USER, filesReader, openStore, planUnder } from "./host.ts";
import type { Reader } from "./reader.ts";

interface Shown {
  format: "csv" | "xlsx";
  sketchId: string | null;
  reader: Reader;
  /** The answer of the newest plan to a question, as a screen would show it. */
  ask: <Q extends Question>(question: Q, query: QueryOf<Q>) => Promise<AnswerOf<Q>>;
  window: TimeWindow;
  horizon: Range;
  today: number;
}

/** The rows of a table, or its file as the reader has written it; and what it is about. */
type TableContent = ({ rows: string[][] } | { written: string }) & {
  isMoney?: boolean;
  /** Added to the name of the file, such as the project and the range. */
  of?: string;
};

/** The rows of a table as CSV, or as XLSX where the address asks for that.
 * @param title Of the sheet of a workbook; in small letters the name of the file, with what it is of. */
export async function tableFile(request: Request, title: string, contentOf: (shown: Shown) => Promise<TableContent>): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const format = searchParams.get("format") ?? "csv";
  if (format !== "csv" && format !== "xlsx") return Response.json({ message: 'This table comes as "csv" or "xlsx".' }, { status: 400 });
  const text = (name: string) => searchParams.get(name);
  // The person who looks at a sketch takes with them what they see.
  const sketchId = text("sketch");
  const plan = planUnder((await openStore()).snapshot().plan, sketchId);
  const [horizon, today] = [horizonOf(plan), todayOf(plan, currentDay())];
  const window = windowFrom(text("from"), text("to"), text("by"), today, horizon, periodSettingsOf(plan));
  const reader = await filesReader();
  const reported = await contentOf({
    format,
    sketchId,
    reader,
    ask: async <Q extends Question>(question: Q, query: QueryOf<Q>) => {
      const { data } = await reader.ask({ kind: "ask", sketchId, question, query, access: BUILT_IN_USER.access, isText: false });
      return data as AnswerOf<Q>;
    },
    window,
    horizon,
    today,
  });
  const { isMoney, of } = reported;
  const name = `${[title, ...(of === undefined ? [] : [of])].map(fileWord).join("-")}.${format}`;
  if (format === "csv") return download("written" in reported ? reported.written : writeCsv(reported.rows), name, CSV_TYPE);
  const tables =
    "written" in reported ? reported.written : JSON.stringify([{ name: title, rows: reported.rows, ...(isMoney && { isMoney }) }]);
  return downloadWorkbook(tables, name, request.signal);
}

/** A text as a part of a file name: small letters, digits and dashes. */
const fileWord = (text: string): string =>
  text
    .normalize("NFD")
    .replaceAll(/\p{Diacritic}/gu, "")
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, "-")
    .replaceAll(/^-|-$/g, "");
