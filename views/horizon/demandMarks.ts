// What the marks of the demand charts mean.
import type { ChartMark } from "../../ui/chartParts.tsx";

export const demandMarks = {
  firm: { name: "Assigned", color: "var(--room)", as: "bar" },
  open: { name: "Unassigned", color: "var(--ochre)", as: "bar" },
  pipeline: { name: "Expected from the pipeline", color: "var(--h2)", as: "bar" },
  p95: { name: "Up to this in 95% of outcomes", color: "var(--over)", as: "dashed" },
  capacity: { name: "Capacity", color: "var(--ink)", as: "line" },
} as const satisfies Record<string, ChartMark>;
