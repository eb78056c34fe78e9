// Money or the cash flow as a page to print: the rows, periods and sums of the screen.

import type { Redacted } from "../../client/seen.ts";
import type { MoneyAnswer } from "../../core/answers/money.ts";
import type { PeriodSettings } from "../../core/calendar/periods.ts";
import type { MoneyQuery } from "../../core/cost/moneyQuery.ts";
import { moneyText, periodHeading } from "../../ui/format.ts";
import { PrintedPage } from "../../ui/printedPage.tsx";
import { pipelineWords } from "../periods/pipelineWords.ts";
import { figuresText, moneyFile, moneyFileOf } from "./moneyFile.ts";
import { groupWords } from "./moneyWords.ts";

interface MoneyPageProps {
  title: string;
  money: Redacted<MoneyAnswer>;
  query: MoneyQuery;
  studio: string;
  settings: PeriodSettings;
}

/** With more periods than these a page has no room for decimals. */
const MOST_WITH_DECIMALS = 6;

export function MoneyPage({ title, money, query, studio, settings }: MoneyPageProps) {
  const { periods } = money;
  const [, ...lines] = moneyFile(money, query);
  const isLong = periods.length > MOST_WITH_DECIMALS;
  const decimals = isLong ? 0 : 2;
  return (
    <PrintedPage
      title={`${title}: ${moneyFileOf(money)}`}
      side={`${studio}, ${figuresText(money, query)}, ${pipelineWords[query.pipeline]}`}
      css={isLong ? css + small : css}
    >
      <table>
        <thead>
          <tr>
            <th scope="col">{groupWords[query.by]}</th>
            {periods.map((period) => {
              const { main, side } = periodHeading(period, query.grain, settings);
              return (
                <th key={period.start} scope="col">
                  {main} {side}
                </th>
              );
            })}
            <th scope="col">Total</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(([name, side, ...amounts], at) => (
            <tr key={money.rows[at]?.key ?? name} className={at >= money.rows.length ? "sum" : ""}>
              <th scope="row">{side === "" ? name : `${name}, ${side}`}</th>
              {amounts.map((amount, p) => (
                <td key={periods[p]?.start ?? "sum"} className={amount.startsWith("-") ? "minus" : ""}>
                  {amount === "" ? "" : moneyText(Math.round(Number(amount) * 100), decimals)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </PrintedPage>
  );
}

/** A year and a half by month fits on the paper. */
const small = "table{font-size:9px}th,td{padding:2px 3px}";
const css = ".sum th,.sum td{font-weight:700}.minus{color:#9c3c16}th[scope=row]{white-space:normal}";
