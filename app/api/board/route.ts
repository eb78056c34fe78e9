// The board's window as CSV or XLSX, with the rows, filters and measure that the address states.
import { createLoader } from "nuqs/server";
import { boardViewOf, viewParams } from "../../../views/balance/balanceParams.ts";
import { boardTable } from "../../../views/balance/boardTable.ts";
import { tableFile } from "../../tableFile.ts";

export const dynamic = "force-dynamic";

const loadView = createLoader(viewParams);

export function GET(request: Request): Promise<Response> {
  const params = loadView(new URL(request.url).searchParams);
  return tableFile(request, "Balance", async ({ ask, window }) => {
    const query = { ...window, open: [], view: boardViewOf(params), countsTasks: params.show === "tasks" };
    return { rows: boardTable(await ask("board", query), params.show) };
  });
}
