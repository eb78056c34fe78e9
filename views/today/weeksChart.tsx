"use client";
// The weeks ahead as bars of demand under a dashed line of capacity.
import { Bar, ComposedChart, Line, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { WeekAhead } from "../../core/answers/today.ts";
import { axisHours, ChartLegend, chartLooks, stepLine } from "../../ui/chartParts.tsx";
import { hoursOf, shortDay } from "../../ui/format.ts";
import { texts } from "./words.ts";

const marks = {
  capacity: { name: "Capacity", color: "var(--ink)", as: "dashed" },
  assigned: { name: "Assigned", color: "var(--room)", as: "bar" },
  open: { name: "Unassigned", color: "var(--ochre)", as: "bar" },
} as const;

export default function WeeksChart({ weeks }: { weeks: readonly WeekAhead[] }) {
  const data = weeks.map(({ week, capacity, assigned, open }) => ({
    week: shortDay(week.start),
    capacity: hoursOf(capacity),
    assigned: hoursOf(assigned),
    open: hoursOf(open),
  }));
  const { capacity, assigned, open } = marks;
  return (
    <div>
      <div className="h-[200px]" role="img" aria-label={texts.hoursAssignedAndUnassigned}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={data} margin={{ top: 8, right: 4, bottom: 0, left: 2 }} accessibilityLayer={false}>
            <XAxis dataKey="week" interval="equidistantPreserveStart" minTickGap={12} {...chartLooks.x} />
            <YAxis tickFormatter={axisHours} {...chartLooks.y} />
            <Tooltip cursor={{ fill: "var(--well)", opacity: 0.6 }} {...chartLooks.tooltip} />
            <Bar dataKey="assigned" name={assigned.name} stackId="demand" fill={assigned.color} isAnimationActive={false} />
            <Bar dataKey="open" name={open.name} stackId="demand" fill={open.color} isAnimationActive={false} />
            <Line dataKey="capacity" strokeDasharray="4 3" {...stepLine(capacity)} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <ChartLegend marks={Object.values(marks)} />
    </div>
  );
}
