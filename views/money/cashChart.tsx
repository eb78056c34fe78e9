"use client";
// Cost by period and kind as bars, the running total as a line, and the budget as a broken one.
import { Bar, ComposedChart, Line, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { Redacted } from "../../client/seen.ts";
import type { MoneyAnswer } from "../../core/answers/money.ts";
import type { Grain } from "../../core/calendar/periods.ts";
import { runningTotal } from "../../core/cost/runningTotal.ts";
import { majorOf } from "../../core/plan/moneySides.ts";
import { axisUnit, chartLooks, opensAt } from "../../ui/chartParts.tsx";
import { moneyText, periodHeading, wholeText } from "../../ui/format.ts";
import { usePlanFacts } from "../scope/facts.ts";
import { budgetedName, hueOfKind, isPartlyBudgeted } from "./cashMarks.ts";
import { rowName } from "./moneyWords.ts";
import type { Opened } from "./opened.ts";

const axisText = (value: number) => wholeText(Math.round(value));

/** The kinds of cost and the running total of each period, in major units. */
function useChartData(money: Redacted<MoneyAnswer>, grain: Grain) {
  const { periodSettings } = usePlanFacts();
  const { rows, periods } = money;
  const running = runningTotal(money.totals, money.before);
  return periods.map((period, p) => {
    const { main, side } = periodHeading(period, grain, periodSettings);
    return {
      period: `${main} ${side}`,
      running: majorOf(running[p]),
      ...(isPartlyBudgeted(money) && { budgeted: majorOf(money.budget.running[p]) }),
      ...Object.fromEntries(rows.map(({ key, periods: amounts }) => [key, majorOf(amounts[p])])),
    };
  });
}

interface Props {
  money: Redacted<MoneyAnswer>;
  grain: Grain;
  /** A press on a period opens what it is made of. */
  onOpen: (opened: Opened) => void;
}

export default function CashChart({ money, grain, onOpen }: Props) {
  const { rows, budget, currency } = money;
  const data = useChartData(money, grain);
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart
        data={data}
        margin={{ top: 24, right: 0, bottom: 0, left: 6 }}
        accessibilityLayer={false}
        onClick={(at) => opensAt(at, (period) => onOpen({ key: null, period }))}
        className="cursor-pointer"
      >
        <XAxis dataKey="period" interval="equidistantPreserveStart" minTickGap={12} {...chartLooks.x} />
        <YAxis yAxisId="period" tickFormatter={axisText} {...chartLooks.y} width={58} label={axisUnit(currency, "left")} />
        <YAxis
          yAxisId="running"
          orientation="right"
          tickFormatter={axisText}
          domain={[0, (top: number) => Math.max(top, majorOf(budget?.budget ?? 0) ?? 0)]}
          {...chartLooks.y}
          width={62}
          label={axisUnit(`${currency}, running total`, "right")}
        />
        <Tooltip
          cursor={{ fill: "var(--well)", opacity: 0.6 }}
          {...chartLooks.tooltip}
          formatter={(value) => moneyText(Number(value) * 100)}
        />
        {rows.map(({ key, name }) => (
          <Bar
            key={key}
            yAxisId="period"
            dataKey={key}
            name={rowName("kind", key, name)}
            stackId="cost"
            fill={hueOfKind(key)}
            isAnimationActive={false}
          />
        ))}
        <RunningLines money={money} />
      </ComposedChart>
    </ResponsiveContainer>
  );
}

/** The running total, that of the projects with a budget, and the budget. */
function RunningLines({ money }: { money: Redacted<MoneyAnswer> }) {
  const { budget } = money;
  return (
    <>
      <Line
        yAxisId="running"
        dataKey="running"
        name="Running total"
        stroke="var(--ink)"
        strokeWidth={2}
        dot={{ r: 2 }}
        isAnimationActive={false}
      />
      {isPartlyBudgeted(money) && (
        <Line
          yAxisId="running"
          dataKey="budgeted"
          name={budgetedName(money.budget)}
          stroke="var(--over)"
          strokeWidth={2}
          dot={false}
          isAnimationActive={false}
        />
      )}
      {budget !== null && (
        <ReferenceLine
          yAxisId="running"
          y={majorOf(budget.budget) ?? undefined}
          stroke="var(--over)"
          strokeWidth={1.5}
          strokeDasharray="5 4"
        />
      )}
    </>
  );
}
