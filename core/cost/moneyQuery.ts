// What is asked of money: added up by what, of which kind, in which periods; and the lines that it is about.
import type { ReportRange } from "../calendar/periods.ts";
import type { Placed } from "../placing/placed.ts";
import type { MoneyLine } from "./costs.ts";
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
}

/** The lines that a question is about, each with how it counts. */
export function linesOf(
  model: Placed,
  ledger: Ledger,
  { kind, measure, within }: Pick<MoneyQuery, "kind" | "measure" | "within">,
): { line: MoneyLine; sign: 1 | -1 }[] {
  const { taxInCost } = model.plan.settings;
  return ledger.lines.flatMap((line) => {
    const isRevenue = line.kind === "revenue";
    if (line.kind === "tax" && !taxInCost) return [];
    if (isRevenue ? measure === "cost" || measure === "left" : measure === "revenue") return [];
    if (!isRevenue && kind !== "all" && kind !== (line.kind === "tax" ? "expense" : line.kind)) return [];
    if (measure === "left" && model.plan.projects[line.project].budget === undefined) return [];
    if (within.some(({ by, key }) => ledger.keyOf(line, by) !== key)) return [];
    return [{ line, sign: isRevenue || measure === "cost" ? (1 as const) : (-1 as const) }];
  });
}
