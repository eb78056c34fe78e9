// The table of money as CSV or XLSX, as the address states it.
import { createLoader } from "nuqs/server";
import { moneyOf } from "../../../core/answers/money.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../../../core/calendar/horizon.ts";
import { writeCsv } from "../../../interchange/csv.ts";
import { windowFrom } from "../../../ui/timeWindow.ts";
import { moneyFile } from "../../../views/money/moneyFile.ts";
import { moneyParams, moneyQueryOf } from "../../../views/money/moneyParams.ts";
import { CSV_TYPE, download, downloadWorkbook } from "../../files.ts";
import { clockDay, currentModel } from "../../host.ts";

export const dynamic = "force-dynamic";

const loadParams = createLoader(moneyParams);

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const format = searchParams.get("format") ?? "csv";
  if (format !== "csv" && format !== "xlsx") return Response.json({ message: 'Money comes as "csv" or "xlsx".' }, { status: 400 });
  const { model } = await currentModel();
  const text = (name: string) => searchParams.get(name);
  const [horizon, settings] = [horizonOf(model.plan), periodSettingsOf(model.plan)];
  const window = windowFrom(text("from"), text("to"), text("by"), todayOf(model.plan, clockDay()), horizon, settings);
  const query = moneyQueryOf(loadParams(searchParams), window, horizon);
  const rows = moneyFile(moneyOf(model, query), query);
  if (format === "csv") return download(writeCsv(rows), "money.csv", CSV_TYPE);
  return downloadWorkbook([{ name: "Money", rows }], "money.xlsx", request.signal);
}
