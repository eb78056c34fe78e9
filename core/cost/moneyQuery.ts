// The query of money: its grouping, kind and periods, and the lines that it selects.
import type { ReportRange } from "../calendar/periods.ts";
import type { Counting } from "../load/counting.ts";
import type { Placed } from "../placing/placed.ts";
import type { MoneyLine } from "./costs.ts";
import { countedLines } from "./countedMoney.ts";
import type { Ledger } from "./ledger.ts";
import type { CostKind, MoneyBy } from "./moneyKeys.ts";

export const moneyMeasures = ["cost", "revenue", "margin", "left"] as const;
/** Cost, revenue, revenue less cost, or what is left of the budget at the end of each period. */
export type MoneyMeasure = (typeof moneyMeasures)[number];

/** Lines that fall under a key. */
export interface MoneyPlace {
  by: MoneyBy;
  key: string;
}

export interface MoneyQuery extends ReportRange {
  by: MoneyBy;
  kind: CostKind | "all";
  measure: MoneyMeasure;
  /** Only what falls under all of these. */
  within: readonly MoneyPlace[];
  /** How pipeline projects count. */
  pipeline: Counting["pipeline"];
}

/** The lines that a question is about, each with how it counts. */
export function linesOf(
  model: Placed,
  ledger: Ledger,
  { kind, measure, within, pipeline }: Pick<MoneyQuery, "kind" | "measure" | "within" | "pipeline">,
): { line: MoneyLine; sign: 1 | -1 }[] {
  const { settings, projects } = model.plan;
  return countedLines(projects, ledger.lines, pipeline).flatMap((line) => {
    const isRevenue = line.kind === "revenue";
    if (line.kind === "tax" && !settings.taxInCost) return [];
    if (isRevenue ? measure === "cost" || measure === "left" : measure === "revenue") return [];
    if (!isRevenue && kind !== "all" && kind !== (line.kind === "tax" ? "expense" : line.kind)) return [];
    if (measure === "left" && projects[line.project].budget === undefined) return [];
    if (within.some(({ by, key }) => ledger.keyOf(line, by) !== key)) return [];
    return [{ line, sign: isRevenue || measure === "cost" ? (1 as const) : (-1 as const) }];
  });
}
