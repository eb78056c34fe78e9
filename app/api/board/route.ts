// The board's window as CSV or XLSX, with the rows, filters and measure that the address states.
import { createLoader } from "nuqs/server";
import { boardViewOf, viewParams } from "../../../views/balance/balanceParams.ts";
import { BUILT_IN_USER } from "../../host.ts";
import { tableFile } from "../../tableFile.ts";

export const dynamic = "force-dynamic";

const loadView = createLoader(viewParams);
const TITLE = "Balance";

export function GET(request: Request): Promise<Response> {
  const params = loadView(new URL(request.url).searchParams);
  return tableFile(request, TITLE, async ({ reader, format, sketchId, window }) => {
    const query = { ...window, open: [], view: boardViewOf(params), countsTasks: params.show === "tasks" };
    const { access } = BUILT_IN_USER;
    const { data } = await reader.ask({ kind: "boardFile", sketchId, query, measure: params.show, access, format, title: TITLE });
    return { written: data };
  });
}
