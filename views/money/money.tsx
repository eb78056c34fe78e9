"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import type { AnswerOf } from "../../client/questions.ts";
import { type Initial, useAnswer } from "../../client/session.tsx";
import type { Money as MoneyAnswer } from "../../core/answers/money.ts";
import { countText, hueOf, moneyText, periodHeading, rangeText } from "../../ui/format.ts";
// Money: what projects cost, month by month; rows and columns add up to the cent.
import Link from "../../ui/link.tsx";
import { Segmented } from "../../ui/segmented.tsx";
import { usePlanFacts } from "../frame/facts.ts";
import { Empty, Figure, Screen } from "../frame/screen.tsx";
import { useLinkTo, usePlanWindow } from "../frame/windowed.ts";

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

function MoneyTable({ money: { periods, rows, totals, total, currency } }: { money: MoneyAnswer }) {
  const { grain } = usePlanWindow();
  const { periodSettings } = usePlanFacts();
  const linkTo = useLinkTo();
  const whole = grain === "day" || grain === "week" ? "month" : grain;
  const figure = "border-line border-b px-3 text-right whitespace-nowrap";
  return (
    <div className="min-h-0 flex-1 overflow-auto rounded-t-card border border-line border-b-0 bg-sheet">
      <table className="w-full border-separate border-spacing-0">
        <caption className="sr-only">Cost of projects by period, in {currency}</caption>
        <thead>
          <tr className="h-[44px]">
            <th
              scope="col"
              className="sticky top-0 left-0 z-[3] min-w-[230px] border-line border-r border-b bg-sheet px-3 text-left font-semibold"
            >
              Project <span className="font-normal text-[12.5px] text-ink-2">{currency}</span>
            </th>
            {periods.map((period) => {
              const { main, side } = periodHeading(period, whole, periodSettings);
              return (
                <th
                  key={period.start}
                  scope="col"
                  className="sticky top-0 z-[2] border-line border-b bg-sheet px-3 text-right font-semibold"
                >
                  {main} <span className="font-normal text-[12.5px] text-ink-2">{side}</span>
                </th>
              );
            })}
            <th scope="col" className="sticky top-0 z-[2] border-line border-b border-l bg-sheet px-3 text-right font-semibold">
              Sum
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ projectId, name, code, projectRow, stage, periods: amounts, total: sum }) => (
            <tr key={projectId} className="h-[36px] hover:bg-well/60">
              <th scope="row" className="sticky left-0 border-line border-r border-b bg-sheet px-3 text-left font-normal">
                <span className="flex items-center gap-2">
                  <span className="size-[10px] shrink-0 rounded-[2px]" style={{ background: hueOf(projectRow) }} />
                  <Link href={linkTo(`/work/${encodeURIComponent(projectId)}`)} className="truncate hover:underline">
                    {name}
                  </Link>
                  <span className="text-[12.5px] text-ink-2">{code}</span>
                  {(stage === "pipeline" || stage === "idea") && <span className="text-[12.5px] text-plum">pipeline</span>}
                </span>
              </th>
              {amounts.map((amount, p) => (
                <td key={periods[p].start} className={`${figure} ${amount === 0 ? "text-ink-3" : ""}`}>
                  {amount === 0 ? "–" : moneyText(amount)}
                </td>
              ))}
              <td className={`${figure} border-l font-semibold`}>{moneyText(sum)}</td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr className="h-[38px]">
            <th
              scope="row"
              className="sticky bottom-0 left-0 z-[2] border-line-2 border-t border-r bg-paper px-3 text-left font-title font-normal text-[16px] italic"
            >
              {countText(rows.length, "project")}
            </th>
            {totals.map((amount, p) => (
              <td
                key={periods[p].start}
                className="sticky bottom-0 border-line-2 border-t bg-paper px-3 text-right font-semibold whitespace-nowrap"
              >
                {moneyText(amount)}
              </td>
            ))}
            <td data-total className="sticky bottom-0 border-line-2 border-t border-l bg-paper px-3 text-right font-bold whitespace-nowrap">
              {moneyText(total)}
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
  );
}
