// A table as a file, over the window that an address states.
import "server-only";
import type { AnswerOf, QueryOf, Question } from "../client/questions.ts";
import { answer } from "../client/seen.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../core/calendar/horizon.ts";
import type { Range } from "../core/calendar/periods.ts";
import { modelUnder } from "../core/sketch/sketch.ts";
import { writeCsv } from "../interchange/csv.ts";
import { type TimeWindow, windowFrom } from "../ui/timeWindow.ts";
import { CSV_TYPE, download, downloadWorkbook } from "./files.ts";
import { BUILT_IN_USER, clockDay, currentModel } from "./host.ts";

interface Shown {
  /** What the newest plan answers to a question, as a screen would show it. */
  ask: <Q extends Question>(question: Q, query: QueryOf<Q>) => AnswerOf<Q>;
  window: TimeWindow;
  horizon: Range;
  today: number;
}

/** The rows of a table as CSV, or as XLSX where the address asks for that.
 * @param title Of the sheet of a workbook; in small letters the name of the file. */
export async function tableFile(request: Request, title: string, rowsOf: (shown: Shown) => string[][]): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const format = searchParams.get("format") ?? "csv";
  if (format !== "csv" && format !== "xlsx") return Response.json({ message: 'This table comes as "csv" or "xlsx".' }, { status: 400 });
  const { model: planned } = await currentModel();
  const text = (name: string) => searchParams.get(name);
  // Whoever looks at a sketch takes with them what they see.
  const model = modelUnder(planned, text("sketch"));
  const [horizon, today] = [horizonOf(model.plan), todayOf(model.plan, clockDay())];
  const window = windowFrom(text("from"), text("to"), text("by"), today, horizon, periodSettingsOf(model.plan));
  const rows = rowsOf({ ask: (question, query) => answer(model, question, query, BUILT_IN_USER.sight), window, horizon, today });
  const name = `${title.toLowerCase().replaceAll(" ", "-")}.${format}`;
  return format === "csv" ? download(writeCsv(rows), name, CSV_TYPE) : downloadWorkbook([{ name: title, rows }], name, request.signal);
}
