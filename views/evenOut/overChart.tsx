"use client";
// Hours over by week: as it is, and as it would be.
import { Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { Evened } from "../../core/answers/evenedLines.ts";
import type { Range } from "../../core/calendar/periods.ts";
import { hoursOf, hoursText, shortDay } from "../../ui/format.ts";

export default function OverChart({ evened: { weeks, before, after }, window }: { evened: Evened; window: Range }) {
  const data = weeks.flatMap(({ start, stop }, at) =>
    stop <= window.start || start >= window.stop
      ? []
      : [{ week: shortDay(start), before: hoursOf(before.byWeek[at]), after: hoursOf(after.byWeek[at]) }],
  );
  return (
    <>
      <div className="h-[190px]" role="img" aria-label="Hours over by week, before and after">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 8, right: 8, bottom: 0, left: -14 }} accessibilityLayer={false}>
            <XAxis dataKey="week" tick={{ fill: "var(--ink-2)", fontSize: 11 }} tickLine={false} axisLine={{ stroke: "var(--line-2)" }} />
            <YAxis tick={{ fill: "var(--ink-2)", fontSize: 11 }} tickLine={false} axisLine={false} width={48} />
            <Tooltip
              formatter={(value) => `${hoursText(Number(value) * 60)} h`}
              contentStyle={{
                background: "var(--sheet)",
                border: "1px solid var(--line-2)",
                borderRadius: 6,
                fontSize: 12.5,
                color: "var(--ink)",
              }}
            />
            <Line dataKey="before" name="Before" stroke="var(--over)" strokeWidth={2} dot={{ r: 2.5 }} isAnimationActive={false} />
            <Line
              dataKey="after"
              name="After"
              stroke="var(--plum)"
              strokeWidth={2}
              strokeDasharray="5 3"
              dot={{ r: 2.5 }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <ul className="flex gap-4 text-side" aria-hidden>
        <li className="flex items-center gap-1.5">
          <span className="inline-block w-4 border-over border-t-2" /> Before
        </li>
        <li className="flex items-center gap-1.5">
          <span className="inline-block w-4 border-plum border-t-2 border-dashed" /> After
        </li>
      </ul>
    </>
  );
}
