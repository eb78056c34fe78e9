"use client";
// Money: what projects cost, month by month; rows and columns add up to the cent.
import { parseAsStringLiteral, useQueryState } from "nuqs";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";
import { moneyText, rangeText } from "../../ui/format.ts";
import Link from "../../ui/link.tsx";
import { Segmented } from "../../ui/segmented.tsx";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useLinkTo, usePlanWindow } from "../frame/windowed.ts";
import { MoneyTable } from "./moneyTable.tsx";

const kinds = ["labour", "material", "fixed", "expense", "all"] as const;
const kindOptions: { value: (typeof kinds)[number]; text: string }[] = [
  { value: "labour", text: "Labour" },
  { value: "material", text: "Material" },
  { value: "fixed", text: "Fixed" },
  { value: "expense", text: "Expenses" },
  { value: "all", text: "All" },
];
const kindWords = { labour: "labour", material: "material", fixed: "fixed costs", expense: "expenses", all: "all cost" };

export function Money({ initial }: { initial: Initial<AnswerOf<"money">> }) {
  const { range, grain } = usePlanWindow();
  const [kind, setKind] = useQueryState("cost", parseAsStringLiteral(kinds).withDefault("labour").withOptions({ shallow: true }));
  const money = useAnswer("money", { range, grain, kind }, initial);
  const linkTo = useLinkTo();
  const { periods } = money;
  return (
    <Screen
      title="Money"
      figures={
        <>
          <Figure
            value={`${money.currency} ${moneyText(money.total)}`}
            says={
              periods.length > 0
                ? `${kindWords[money.kind]} · ${rangeText({ start: periods[0].start, stop: periods[periods.length - 1].stop })}`
                : kindWords[money.kind]
            }
          />
          {money.missingRates > 0 && (
            <Link href={linkTo("/rates")}>
              <Figure
                value={String(money.missingRates)}
                says={money.missingRates === 1 ? "piece of work without a rate" : "pieces of work without a rate"}
                isOver
              />
            </Link>
          )}
          {money.missingExchangeRates > 0 && (
            <Figure
              value={String(money.missingExchangeRates)}
              says={money.missingExchangeRates === 1 ? "piece of work without an exchange rate" : "pieces of work without an exchange rate"}
              isOver
            />
          )}
        </>
      }
      actions={<Segmented label="Kind of cost" value={kind} options={kindOptions} onChange={(next) => void setKind(next)} />}
    >
      {money.rows.length === 0 ? (
        <Empty title="No projects yet">What projects cost stands here by month, once there are projects with work and rates.</Empty>
      ) : (
        <MoneyTable money={money} />
      )}
    </Screen>
  );
}
