"use client";
// The figures under the chart of cash flow: kinds across, periods down.
import type { Redacted } from "../../client/seen.ts";
import type { BudgetRun, MoneyAnswer } from "../../core/answers/money.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { runningTotal } from "../../core/cost/runningTotal.ts";
import { type Figure, isNegative, lessFigure } from "../../core/plan/moneySides.ts";
import { FigureRow, FigureTable } from "../../ui/figureTable.tsx";
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
    <FigureTable look="spread" label={`Cash flow in ${currency}`} heads={headsOf(money)}>
      {before !== 0 && <BeforeRow money={money} />}
      {periods.map(({ start }, at) => (
        <PeriodRow key={start} money={money} at={at} grain={grain} running={running[at]} onOpen={onOpen} />
      ))}
      <FigureRow name={texts.total} look="total">
        {rows.map(({ key, name, total: own }) => (
          <td key={key}>
            <AmountButton minor={own} says={rowName("kind", key, name)} onOpen={() => onOpen({ key, period: null })} isSum isTabStop />
          </td>
        ))}
        <td>
          <AmountButton minor={total} says={texts.total} onOpen={() => onOpen({ key: null, period: null })} isSum isTabStop />
        </td>
        <td colSpan={budget === null ? 1 : 2} />
      </FigureRow>
    </FigureTable>
  );
}

/** The spending before the first period. */
function BeforeRow({ money: { rows, before, budget } }: { money: Redacted<MoneyAnswer> }) {
  return (
    <FigureRow name={texts.before} look="quiet">
      <td colSpan={rows.length + 1} />
      <td>{moneyText(before)}</td>
      {budget !== null && <td>{moneyText(lessFigure(budget.budget, budget.before))}</td>}
    </FigureRow>
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
    <FigureRow
      name={
        <>
          {main} <span className="text-side">{side}</span>
        </>
      }
    >
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
    </FigureRow>
  );
}
