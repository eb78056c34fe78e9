"use client";
// Hours over by week: as it is, and as it would be.
import { Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { Redacted } from "../../client/seen.ts";
import type { Evened } from "../../core/answers/evenedLines.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { axisHours, ChartLegend, chartLooks } from "../../ui/chartParts.tsx";
import { hoursOf, longDay } from "../../ui/format.ts";
import { texts } from "./words.ts";

const marks = {
  before: { name: "Before", color: "var(--over)", as: "line" },
  after: { name: "After", color: "var(--plum)", as: "dashed" },
} as const;

export default function OverChart({ evened: { weeks, before, after }, window }: { evened: Redacted<Evened>; window: Range }) {
  const data = weeks.flatMap(({ start, stop }, at) =>
    stop <= window.start || start >= window.stop
      ? []
      : [{ week: longDay(start), before: hoursOf(before.byWeek[at]), after: hoursOf(after.byWeek[at]) }],
  );
  const line = { strokeWidth: 2, dot: { r: 2.5 }, isAnimationActive: false };
  return (
    <>
      <div className="h-[190px]" role="img" aria-label={texts.hoursOverOnSingleDaysByWeek}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 8, right: 8, bottom: 0, left: -8 }} accessibilityLayer={false}>
            <XAxis dataKey="week" interval="equidistantPreserveStart" minTickGap={16} {...chartLooks.x} />
            <YAxis tickFormatter={axisHours} {...chartLooks.y} />
            <Tooltip {...chartLooks.tooltip} />
            <Line dataKey="before" name={marks.before.name} stroke={marks.before.color} {...line} />
            <Line dataKey="after" name={marks.after.name} stroke={marks.after.color} strokeDasharray="5 3" {...line} />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <ChartLegend marks={Object.values(marks)} />
    </>
  );
}
