// The marks of the demand charts.
import type { ChartMark } from "../../ui/chartParts.tsx";

export const demandMarks = {
  firm: { name: "Assigned", color: "var(--room)", as: "bar" },
  open: { name: "Unassigned", color: "var(--ochre)", as: "bar" },
  pipeline: { name: "Expected from the pipeline", color: "var(--h2)", as: "bar" },
  p50: { name: "Needed: 50% confidence", color: "var(--ink-2)", as: "dashed" },
  p80: { name: "Needed: 80% confidence", color: "var(--plum)", as: "dashed" },
  p95: { name: "Needed: 95% confidence", color: "var(--over)", as: "dashed" },
  capacity: { name: "Capacity", color: "var(--ink)", as: "line" },
} as const satisfies Record<string, ChartMark>;
