// The board's window as CSV or XLSX, with the rows, filters and measure that the address states.
import { createLoader } from "nuqs/server";
import { boardOf } from "../../../core/answers/board.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../../../core/calendar/horizon.ts";
import { writeCsv } from "../../../interchange/csv.ts";
import { windowFrom } from "../../../ui/timeWindow.ts";
import { boardViewOf, viewParams } from "../../../views/balance/balanceParams.ts";
import { boardTable } from "../../../views/balance/boardTable.ts";
import { CSV_TYPE, download, downloadWorkbook } from "../../files.ts";
import { clockDay, currentModel } from "../../host.ts";

export const dynamic = "force-dynamic";

const loadView = createLoader(viewParams);

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const format = searchParams.get("format") ?? "csv";
  if (format !== "csv" && format !== "xlsx") return Response.json({ message: 'The board comes as "csv" or "xlsx".' }, { status: 400 });
  const { model } = await currentModel();
  const text = (name: string) => searchParams.get(name);
  const settings = periodSettingsOf(model.plan);
  const window = windowFrom(text("from"), text("to"), text("by"), todayOf(model.plan, clockDay()), horizonOf(model.plan), settings);
  const params = loadView(searchParams);
  const board = boardOf(model, { ...window, open: [], view: boardViewOf(params), countsTasks: params.show === "tasks" });
  const rows = boardTable(board, params.show);
  if (format === "csv") return download(writeCsv(rows), "balance.csv", CSV_TYPE);
  return downloadWorkbook([{ name: "Balance", rows }], "balance.xlsx", request.signal);
}
