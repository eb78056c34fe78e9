// The horizon as CSV or XLSX, as the address states it; the pipeline as it is written, or as it is looked at.
import { createLoader } from "nuqs/server";
import * as z from "zod";
import { horizonFile } from "../../../views/horizon/horizonFile.ts";
import { horizonParams, horizonQueryOf } from "../../../views/horizon/horizonParams.ts";
import { tableFile } from "../../tableFile.ts";

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
  const cases = casesIn(searchParams.get("cases"));
  if (!cases) return Response.json({ message: "How the pipeline is to be looked at could not be read." }, { status: 400 });
  const params = loadParams(searchParams);
  return tableFile(request, "Horizon", ({ ask, window, horizon, today }) =>
    horizonFile(ask("horizon", horizonQueryOf(params, window, horizon, today, cases)), params.by),
  );
}
