// The table of money, or the cash flow, as CSV or XLSX, as the address states it.
import { createLoader } from "nuqs/server";
import { moneyFile, moneyFileOf } from "../../../views/money/moneyFile.ts";
import { cashSettings, moneyParams, moneyQueryOf } from "../../../views/money/moneyParams.ts";
import { tableFile } from "../../tableFile.ts";

export const dynamic = "force-dynamic";

const loadParams = createLoader(moneyParams);

export function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const isCashFlow = searchParams.get("table") === "cash-flow";
  const params = { ...loadParams(searchParams), ...(isCashFlow && cashSettings) };
  return tableFile(request, isCashFlow ? "Cash flow" : "Money", async ({ ask, window, horizon }) => {
    const query = moneyQueryOf(params, window, horizon);
    const money = await ask("money", query);
    return { rows: moneyFile(money, query), isMoney: true, of: moneyFileOf(money) };
  });
}
