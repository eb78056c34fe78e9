"use client";
// The figures under the chart of cash flow: kinds across, periods down.
import type { Redacted } from "../../client/seen.ts";
import type { BudgetRun, MoneyAnswer } from "../../core/answers/money.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { runningTotal } from "../../core/cost/runningTotal.ts";
import { type Figure, isNegative, lessFigure } from "../../core/plan/moneySides.ts";
import { moneyText, periodHeading, periodPhrase } from "../../ui/format.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { AmountButton } from "./amountButton.tsx";
import { rowName } from "./moneyWords.ts";
import type { Opened } from "./opened.ts";
import { texts } from "./words.ts";

interface Props {
  money: Redacted<MoneyAnswer>;
  grain: Grain;
  onOpen: (opened: Opened) => void;
}

export function CashTable({ money, grain, onOpen }: Props) {
  const { rows, periods, total, before, budget, currency } = money;
  const running = runningTotal(money.totals, money.before);
  return (
    <table className="mt-4 w-full text-right" aria-label={`Cash flow in ${currency}`}>
      <thead>
        <tr className="text-side">
          {headsOf(money).map((head, at) => (
            <th key={head} scope="col" className={`py-1 font-normal ${at === 0 ? "text-left" : "pl-3"}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {before !== 0 && <BeforeRow money={money} />}
        {periods.map(({ start }, at) => (
          <PeriodRow key={start} money={money} at={at} grain={grain} running={running[at]} onOpen={onOpen} />
        ))}
        <tr className="line-above font-semibold">
          <th scope="row" className="py-[3px] text-left">
            {texts.total}
          </th>
          {rows.map(({ key, name, total: own }) => (
            <td key={key}>
              <AmountButton minor={own} says={rowName("kind", key, name)} onOpen={() => onOpen({ key, period: null })} isSum isTabStop />
            </td>
          ))}
          <td>
            <AmountButton minor={total} says={texts.total} onOpen={() => onOpen({ key: null, period: null })} isSum isTabStop />
          </td>
          <td colSpan={budget === null ? 1 : 2} />
        </tr>
      </tbody>
    </table>
  );
}

/** The spending before the first period. */
function BeforeRow({ money: { rows, before, budget } }: { money: Redacted<MoneyAnswer> }) {
  return (
    <tr className="line-above text-ink-2">
      <th scope="row" className="py-[3px] text-left font-normal">
        {texts.before}
      </th>
      <td colSpan={rows.length + 1} />
      <td>{moneyText(before)}</td>
      {budget !== null && <td>{moneyText(lessFigure(budget.budget, budget.before))}</td>}
    </tr>
  );
}

const budgetHead = ({ projects, of }: Redacted<BudgetRun>): string =>
  projects === of ? "Budget remaining" : `Budget remaining, ${projects} of ${of} projects`;

const headsOf = ({ currency, rows, budget }: Redacted<MoneyAnswer>): string[] => [
  currency,
  ...rows.map(({ key, name }) => rowName("kind", key, name)),
  "Total",
  "Running total",
  ...(budget === null ? [] : [budgetHead(budget)]),
];

interface PeriodRowProps {
  money: Redacted<MoneyAnswer>;
  at: number;
  grain: Grain;
  running: Figure;
  onOpen: (opened: Opened) => void;
}

function PeriodRow({ money: { rows, periods, totals, budget }, at, grain, running, onOpen }: PeriodRowProps) {
  const { periodSettings } = usePlanFacts();
  const { main, side } = periodHeading(periods[at], grain, periodSettings);
  const left = budget === null ? 0 : lessFigure(budget.budget, budget.running[at]);
  return (
    <tr className="line-above">
      <th scope="row" className="py-[3px] text-left font-normal">
        {main} <span className="text-side">{side}</span>
      </th>
      {rows.map(({ key, name, periods: amounts }) => (
        <td key={key} className={amounts[at] === 0 ? "text-ink-3" : ""}>
          <AmountButton
            minor={amounts[at]}
            says={`${rowName("kind", key, name)}, ${periodPhrase(periods[at])}`}
            onOpen={() => onOpen({ key, period: at })}
            isTabStop
          />
        </td>
      ))}
      <td>
        <AmountButton
          minor={totals[at]}
          says={`Total, ${periodPhrase(periods[at])}`}
          onOpen={() => onOpen({ key: null, period: at })}
          isSum
          isTabStop
        />
      </td>
      <td>{moneyText(running)}</td>
      {budget !== null && <td className={isNegative(left) ? "figure-bad" : ""}>{moneyText(left)}</td>}
    </tr>
  );
}
