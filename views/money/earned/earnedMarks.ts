// The marks of the chart of earned value.
import type { ChartMark } from "../../../ui/chartParts.tsx";

export const earnedMarks: readonly [planned: ChartMark, spent: ChartMark, forecast: ChartMark, earned: ChartMark] = [
  { name: "Planned", color: "var(--ink-2)", as: "dashed" },
  { name: "Spent", color: "var(--over)", as: "line" },
  { name: "Forecast", color: "var(--ochre)", as: "line" },
  { name: "Earned", color: "var(--pine)", as: "bar" },
];
