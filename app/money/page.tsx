import { Money } from "../../views/money/money.tsx";
import { currentAnswer } from "../host.ts";
import { oneParam, type SearchParams, windowOfPage } from "../initial.ts";

const kinds = ["labour", "material", "fixed", "expense", "all"] as const;

export default async function MoneyPage({ searchParams }: { searchParams: SearchParams }) {
  const asked = await oneParam(searchParams, "cost");
  const kind = kinds.find((own) => own === asked) ?? "labour";
  return <Money initial={await currentAnswer("money", { ...(await windowOfPage(searchParams)), kind })} />;
}
