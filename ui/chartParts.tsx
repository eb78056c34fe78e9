"use client";
// The common parts of charts: axes, tooltips, lines and bars.
import { hoursText, wholeText } from "./format.ts";

const tick = { fill: "var(--ink-2)", fontSize: 11 };

/** Looks of the two axes and of the tooltip; figures are hours. */
export const chartLooks = {
  x: { tick, tickLine: false, axisLine: { stroke: "var(--line-2)" } },
  y: { tick, tickLine: false, axisLine: false, width: 48 },
  tooltip: {
    formatter: (value: unknown) => `${hoursText(Number(value) * 60)} h`,
    contentStyle: { background: "var(--sheet)", border: "1px solid var(--line-2)", borderRadius: 6, fontSize: 12.5, color: "var(--ink)" },
    itemStyle: { color: "var(--ink)" },
  },
} as const;

/** A figure of an axis in hours. */
export const axisHours = (hours: number): string => `${wholeText(hours)} h`;

/** The unit of an axis above it. */
export const axisUnit = (unit: string, side: "left" | "right") => ({
  value: unit,
  position: side === "left" ? ("insideTopLeft" as const) : ("insideTopRight" as const),
  dy: -22,
  ...tick,
});

/** The period under a click on a chart, if there is one. */
export function opensAt({ activeTooltipIndex: at }: { activeTooltipIndex?: unknown }, open: (period: number) => void): void {
  if (at !== null && at !== undefined && at !== "") open(Number(at));
}

export interface ChartMark {
  name: string;
  color: string;
  as: "bar" | "line" | "dashed";
}

/** The look of a line that steps from period to period. */
export const stepLine = ({ name, color }: ChartMark) => ({
  name,
  stroke: color,
  type: "step" as const,
  dot: false,
  isAnimationActive: false,
});

/** The marks of a chart under it. */
export function ChartLegend({ marks }: { marks: readonly ChartMark[] }) {
  return (
    <ul className="flex flex-wrap gap-x-4 pt-1 text-side" aria-hidden>
      {marks.map(({ name, color, as }) => (
        <li key={name} className="flex items-center gap-1.5">
          <span
            className={`inline-block ${as === "bar" ? "size-[10px]" : "w-4"}`}
            style={as === "bar" ? { background: color } : { borderTop: `2px ${as === "line" ? "solid" : "dashed"} ${color}` }}
          />
          {name}
        </li>
      ))}
    </ul>
  );
}
