// The marks of the cash flow chart: colours by kind of cost, for the chart, its legend and its file.
import type { Money } from "../../core/answers/money.ts";
import type { ChartMark } from "../../ui/chartParts.tsx";
import { rowName } from "./moneyWords.ts";

const hues: Record<string, string> = {
  labour: "var(--h1)",
  material: "var(--h4)",
  fixed: "var(--h3)",
  expense: "var(--h2)",
  tax: "var(--h6)",
};

export const hueOfKind = (kind: string): string => hues[kind] ?? "var(--h8)";

/** What the bars and lines are, for the legend and the file. */
export function cashMarks({ rows, budget }: Money): ChartMark[] {
  return [
    ...rows.map(({ key, name }): ChartMark => ({ name: rowName("kind", key, name), color: hueOfKind(key), as: "bar" })),
    { name: "Running total", color: "var(--ink)", as: "line" },
    ...(budget === null ? [] : [{ name: "Budget", color: "var(--over)", as: "dashed" } as const]),
  ];
}
