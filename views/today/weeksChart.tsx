"use client";
// The weeks ahead as bars of demand under a dashed line of capacity.
import { Bar, ComposedChart, Line, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { WeekAhead } from "../../core/answers/today.ts";
import { hoursOf, hoursText, shortDay } from "../../ui/format.ts";

export default function WeeksChart({ weeks }: { weeks: readonly WeekAhead[] }) {
  const data = weeks.map(({ week, capacity, assigned, open }) => ({
    week: shortDay(week.start),
    capacity: hoursOf(capacity),
    assigned: hoursOf(assigned),
    open: hoursOf(open),
  }));
  return (
    <div>
      <div className="h-[200px]" role="img" aria-label="Hours assigned and unassigned by week, with capacity as a line">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={data} margin={{ top: 8, right: 4, bottom: 0, left: -8 }} accessibilityLayer={false}>
            <XAxis
              dataKey="week"
              tick={{ fill: "var(--ink-2)", fontSize: 11 }}
              tickLine={false}
              axisLine={{ stroke: "var(--line-2)" }}
              interval={1}
            />
            <YAxis tick={{ fill: "var(--ink-2)", fontSize: 11 }} tickLine={false} axisLine={false} width={48} />
            <Tooltip
              cursor={{ fill: "var(--well)", opacity: 0.6 }}
              formatter={(value) => `${hoursText(Number(value) * 60)} h`}
              contentStyle={{
                background: "var(--sheet)",
                border: "1px solid var(--line-2)",
                borderRadius: 6,
                fontSize: 12.5,
                color: "var(--ink)",
              }}
              itemStyle={{ color: "var(--ink)" }}
            />
            <Bar dataKey="assigned" name="Assigned" stackId="demand" fill="var(--room)" isAnimationActive={false} />
            <Bar dataKey="open" name="Unassigned" stackId="demand" fill="var(--ochre)" isAnimationActive={false} />
            <Line
              dataKey="capacity"
              name="Capacity"
              type="step"
              stroke="var(--ink)"
              strokeDasharray="4 3"
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <ul className="flex flex-wrap gap-x-4 pt-1 text-side" aria-hidden>
        <li className="flex items-center gap-1.5">
          <span className="inline-block w-4 border-ink border-t-[1.5px] border-dashed" /> Capacity
        </li>
        <li className="flex items-center gap-1.5">
          <span className="inline-block size-[10px]" style={{ background: "var(--room)" }} /> Assigned
        </li>
        <li className="flex items-center gap-1.5">
          <span className="inline-block size-[10px]" style={{ background: "var(--ochre)" }} /> Unassigned
        </li>
      </ul>
    </div>
  );
}
