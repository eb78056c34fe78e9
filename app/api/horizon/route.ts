// The horizon as CSV or XLSX, as the address states it; the pipeline as it is written, or as it is looked at.
import { createLoader } from "nuqs/server";
import { horizonFile } from "../../../views/horizon/horizonFile.ts";
import { CASES_BETWEEN, horizonParams, horizonQueryOf } from "../../../views/horizon/horizonParams.ts";
import { tableFile } from "../../tableFile.ts";

export const dynamic = "force-dynamic";

const loadParams = createLoader(horizonParams);

export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const params = loadParams(searchParams);
  const written = searchParams.get("cases") || null;
  if (written !== null && written.split(CASES_BETWEEN).length !== params.cases.length)
    return Response.json({ message: 'The cases of the pipeline could not be read. Write each as "ID:won:DAYS".' }, { status: 400 });
  return tableFile(request, "Horizon", async ({ ask, window, horizon, today }) => ({
    rows: horizonFile(await ask("horizon", horizonQueryOf(params, window, horizon, today)), params.by),
  }));
}
