// The horizon as CSV or XLSX, as the address states it; the pipeline as it is written, or as it is looked at.
import { createLoader } from "nuqs/server";
import { horizonFile } from "../../../views/horizon/horizonFile.ts";
import { horizonParams, horizonQueryOf } from "../../../views/horizon/horizonParams.ts";
import { tableFile } from "../../tableFile.ts";

export const dynamic = "force-dynamic";

const loadParams = createLoader(horizonParams);

export function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const params = loadParams(searchParams);
  return tableFile(request, "Horizon", ({ ask, window, horizon, today }) =>
    horizonFile(ask("horizon", horizonQueryOf(params, window, horizon, today)), params.by),
  );
}
