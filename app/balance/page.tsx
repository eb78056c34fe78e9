import { createLoader } from "nuqs/server";
import { Balance } from "../../views/balance/balance.tsx";
import { boardViewOf, FIRST_ROWS, isWhole, viewParams } from "../../views/balance/balanceParams.ts";
import { oneParam, type SearchParams, windowOfPage } from "../address.ts";
import { answerNow } from "../host.ts";

const loadView = createLoader(viewParams);

export default async function BalancePage({ searchParams }: { searchParams: SearchParams }) {
  const open = ((await oneParam(searchParams, "open")) ?? "").split(",").filter(Boolean);
  const window = await windowOfPage(searchParams);
  const params = await loadView(searchParams);
  const query = { ...window, open, view: boardViewOf(params), countsTasks: params.show === "tasks" };
  const initial = await answerNow("board", { ...query, limit: FIRST_ROWS });
  return <Balance initial={isWhole(initial.data) ? { ...initial, key: JSON.stringify(query) } : initial} />;
}
