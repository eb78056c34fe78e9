// The horizon as CSV or XLSX, as the address states it; the pipeline as it is written, or as it is looked at.
import { createLoader } from "nuqs/server";
import * as z from "zod";
import { horizonAnswer } from "../../../core/answers/horizon.ts";
import { horizonOf, periodSettingsOf, todayOf } from "../../../core/calendar/horizon.ts";
import { writeCsv } from "../../../interchange/csv.ts";
import { windowFrom } from "../../../ui/timeWindow.ts";
import { horizonFile } from "../../../views/horizon/horizonFile.ts";
import { horizonParams, horizonQueryOf } from "../../../views/horizon/horizonParams.ts";
import { CSV_TYPE, download, downloadWorkbook } from "../../files.ts";
import { clockDay, currentModel } from "../../host.ts";

export const dynamic = "force-dynamic";

const loadParams = createLoader(horizonParams);
const casesSchema = z
  .array(
    z.strictObject({ projectId: z.string().max(200), outcome: z.enum(["won", "lost"]).nullable(), days: z.int().min(-20_000).max(20_000) }),
  )
  .max(1_000);

function casesIn(text: string | null) {
  try {
    return casesSchema.safeParse(JSON.parse(text ?? "[]")).data ?? null;
  } catch {
    return null;
  }
}

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const format = searchParams.get("format") ?? "csv";
  if (format !== "csv" && format !== "xlsx") return Response.json({ message: 'The horizon comes as "csv" or "xlsx".' }, { status: 400 });
  const cases = casesIn(searchParams.get("cases"));
  if (!cases) return Response.json({ message: "How the pipeline is to be looked at could not be read." }, { status: 400 });
  const { model } = await currentModel();
  const text = (name: string) => searchParams.get(name);
  const [horizon, today] = [horizonOf(model.plan), todayOf(model.plan, clockDay())];
  const window = windowFrom(text("from"), text("to"), text("by"), today, horizon, periodSettingsOf(model.plan));
  const rows = horizonFile(horizonAnswer(model, horizonQueryOf(loadParams(searchParams), window, horizon, today, cases)));
  if (format === "csv") return download(writeCsv(rows), "horizon.csv", CSV_TYPE);
  return downloadWorkbook([{ name: "Horizon", rows }], "horizon.xlsx", request.signal);
}
