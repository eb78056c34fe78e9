// The board's window as CSV or XLSX, with the rows, filters and measure that the address states.
import { createLoader } from "nuqs/server";
import { boardOf } from "../../../core/answers/board.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../../../core/calendar/horizon.ts";
import { writeCsv } from "../../../interchange/csv.ts";
import { windowFrom } from "../../../ui/timeWindow.ts";
import { boardViewOf, viewParams } from "../../../views/balance/balanceParams.ts";
import { boardTable } from "../../../views/balance/boardTable.ts";
import { fileWork } from "../../files.ts";
import { clockDay, currentModel } from "../../host.ts";

export const dynamic = "force-dynamic";

const loadView = createLoader(viewParams);
const XLSX_TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

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
  const isCsv = format === "csv";
  return new Response(isCsv ? writeCsv(rows) : await asWorkbook(rows, request.signal), {
    headers: {
      "content-type": isCsv ? "text/csv; charset=utf-8" : XLSX_TYPE,
      "content-disposition": `attachment; filename="balance.${format}"`,
      "cache-control": "no-store",
    },
  });
}

async function asWorkbook(rows: string[][], signal: AbortSignal): Promise<Uint8Array<ArrayBuffer>> {
  const bytes = await fileWork().do<"writeXlsx">({ kind: "writeXlsx", tables: [{ name: "Balance", rows }] }, signal);
  return bytes as Uint8Array<ArrayBuffer>;
}
