"use client";
// The running totals of a project: what was planned, what was spent, and the forecast to its end.
import { ComposedChart, Line, ReferenceDot, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { Redacted } from "../../../client/seen.ts";
import type { EarnedPoint } from "../../../core/answers/earned.ts";
import { type Figure, majorOf } from "../../../core/plan/moneySides.ts";
import { axisUnit, chartLooks } from "../../../ui/chartParts.tsx";
import { moneyText, shortDay, wholeText } from "../../../ui/format.ts";
import { earnedMarks } from "./earnedMarks.ts";

const major = (minor: Figure | null) => (minor === null ? null : majorOf(minor));
const [plannedMark, spentMark, forecastMark] = earnedMarks;

interface ChartProps {
  points: readonly Redacted<EarnedPoint>[];
  status: number;
  earned: Figure;
  currency: string;
}

export default function EarnedChart({ points, status, earned, currency }: ChartProps) {
  const data = points.map(({ day, planned, spent, forecast }) => ({
    day,
    planned: major(planned),
    spent: major(spent),
    forecast: major(forecast),
  }));
  const line = { type: "linear" as const, dot: false, isAnimationActive: false, connectNulls: false };
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart data={data} margin={{ top: 24, right: 8, bottom: 0, left: 0 }} accessibilityLayer={false}>
        <XAxis dataKey="day" type="number" domain={["dataMin", "dataMax"]} tickFormatter={shortDay} minTickGap={24} {...chartLooks.x} />
        <YAxis
          tickFormatter={(value: number) => wholeText(Math.round(value))}
          {...chartLooks.y}
          width={54}
          label={axisUnit(currency, "left")}
        />
        <Tooltip
          {...chartLooks.tooltip}
          labelFormatter={(day) => `Before ${shortDay(Number(day))}`}
          formatter={(value) => moneyText(Number(value) * 100, 0)}
        />
        <ReferenceLine x={status} stroke="var(--pine)" />
        <Line {...line} dataKey="planned" name={plannedMark.name} stroke={plannedMark.color} strokeWidth={1.5} strokeDasharray="5 4" />
        <Line {...line} dataKey="spent" name={spentMark.name} stroke={spentMark.color} strokeWidth={2} />
        <Line {...line} dataKey="forecast" name={forecastMark.name} stroke={forecastMark.color} strokeWidth={2} strokeOpacity={0.55} />
        <ReferenceDot x={status} y={major(earned) ?? undefined} r={5} fill="var(--pine)" stroke="var(--sheet)" />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
