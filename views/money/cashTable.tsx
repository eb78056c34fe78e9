"use client";
// The figures under the chart of cash flow: kinds across, periods down.
import type { BudgetRun, Money } from "../../core/answers/money.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { runningTotal } from "../../core/cost/runningTotal.ts";
import { moneyText, periodHeading } from "../../ui/format.ts";
import { usePlanFacts } from "../frame/facts.ts";
import { rowName } from "./moneyWords.ts";

export function CashTable({ money, grain }: { money: Money; grain: Grain }) {
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
        {before > 0 && <BeforeRow money={money} />}
        {periods.map(({ start }, at) => (
          <PeriodRow key={start} money={money} at={at} grain={grain} running={running[at]} />
        ))}
        <tr className="line-above font-semibold">
          <th scope="row" className="py-[3px] text-left">
            Total
          </th>
          {rows.map(({ key, total: own }) => (
            <td key={key}>{moneyText(own)}</td>
          ))}
          <td>{moneyText(total)}</td>
          <td colSpan={budget === null ? 1 : 2} />
        </tr>
      </tbody>
    </table>
  );
}

/** What was spent before the first period. */
function BeforeRow({ money: { rows, before, budget } }: { money: Money }) {
  return (
    <tr className="line-above text-ink-2">
      <th scope="row" className="py-[3px] text-left font-normal">
        Before
      </th>
      <td colSpan={rows.length + 1} />
      <td>{moneyText(before)}</td>
      {budget !== null && <td>{moneyText(budget.budget - budget.before)}</td>}
    </tr>
  );
}

const budgetHead = ({ projects, of }: BudgetRun): string =>
  projects === of ? "Budget remaining" : `Budget remaining, ${projects} of ${of} projects`;

const headsOf = ({ currency, rows, budget }: Money): string[] => [
  currency,
  ...rows.map(({ key, name }) => rowName("kind", key, name)),
  "Total",
  "Running total",
  ...(budget === null ? [] : [budgetHead(budget)]),
];

interface PeriodRowProps {
  money: Money;
  at: number;
  grain: Grain;
  running: number;
}

function PeriodRow({ money: { rows, periods, totals, budget }, at, grain, running }: PeriodRowProps) {
  const { periodSettings } = usePlanFacts();
  const { main, side } = periodHeading(periods[at], grain, periodSettings);
  const left = budget === null ? 0 : budget.budget - budget.running[at];
  return (
    <tr className="line-above">
      <th scope="row" className="py-[3px] text-left font-normal">
        {main} <span className="text-side">{side}</span>
      </th>
      {rows.map(({ key, periods: amounts }) => (
        <td key={key} className={amounts[at] === 0 ? "text-ink-3" : ""}>
          {amounts[at] === 0 ? "–" : moneyText(amounts[at])}
        </td>
      ))}
      <td>{moneyText(totals[at])}</td>
      <td>{moneyText(running)}</td>
      {budget !== null && <td className={left < 0 ? "figure-bad" : ""}>{moneyText(left)}</td>}
    </tr>
  );
}
